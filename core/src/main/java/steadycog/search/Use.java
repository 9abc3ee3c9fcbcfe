package steadycog.search;

import java.util.ArrayList;
import java.util.List;

/** Which members of a set are used for what, from where power enters to where it leaves. */
record Use(Central in, Central held, Central out) {

  /** All uses of three members. */
  static List<Use> of(Central a, Central b, Central c) {
    List<Use> all = new ArrayList<>();
    for (Central in : List.of(a, b, c)) {
      for (Central held : List.of(a, b, c)) {
        for (Central out : List.of(a, b, c)) {
          if (in != held && held != out && out != in) {
            all.add(new Use(in, held, out));
          }
        }
      }
    }
    return List.copyOf(all);
  }

  /** w_in / w_out, signed. */
  double ratio(SetShape of) {
    double still = held.turns(of);
    return (in.turns(of) - still) / (out.turns(of) - still);
  }
}
