package steadycog.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.RandomCards;
import steadycog.notation.CardOffers.Offer;
import steadycog.notation.CardWord.Kind;
import steadycog.train.Train;

/** What is offered while a card is typed, and what each word of it is said to be. */
class CardOffersTest {
  private static final int CARDS = 400;
  private final Random random = new Random(7);

  /**
   * Whatever a card that can be read says, it was offered at its place after any of its letters.
   */
  @Test
  void everyWordOfAnyCardIsOfferedWhereItStands() {
    for (int k = 0; k < CARDS; k++) {
      String card = k % 2 == 0 ? printed() : RandomCards.next(random).text();
      for (CardWord word : CardWords.of(card)) {
        if (isOffered(word)) {
          int typed = word.from() + random.nextInt(word.text().length());
          CardOffers offers = CardOffers.at(card, typed);
          Set<String> said =
              offers.offers().stream()
                  .map(o -> o.word().toLowerCase(Locale.ROOT))
                  .collect(Collectors.toSet());
          assertEquals(word.from(), offers.from(), () -> word + " of\n" + card);
          assertTrue(
              said.contains(word.text().toLowerCase(Locale.ROOT)),
              () -> word + " of\n" + card + "\n" + said);
        }
      }
    }
  }

  /** Words of letters that a statement is made of; names of parts and states are one's own. */
  private static boolean isOffered(CardWord word) {
    boolean letters = Character.isLetter(word.text().charAt(0)) && !word.text().matches("[xX]\\d*");
    return letters && (word.kind() != Kind.OTHER || !word.meaning().isEmpty());
  }

  private String printed() {
    Train train = RandomCards.next(random).train();
    return Card.of(train).text();
  }

  @Test
  void theWordsOfACardAreAllThatIsWrittenOnIt() {
    for (int k = 0; k < CARDS; k++) {
      String card = RandomCards.next(random).text() + "# a remark; hold sun\n\n  " + printed();
      StringBuilder gaps = new StringBuilder(card);
      for (CardWord word : CardWords.of(card).reversed()) {
        assertEquals(word.text(), card.substring(word.from(), word.to()));
        gaps.delete(word.from(), word.to());
      }
      assertEquals("", gaps.toString().replace(";", "").strip(), card);
    }
  }

  @Test
  void aMemberIsWhomTheTrainHasByThatName() {
    for (int k = 0; k < CARDS; k++) {
      Card card = RandomCards.next(random);
      List<String> members =
          card.train().members().stream().map(member -> member.id().toString()).toList();
      CardWords.of(card.text()).stream()
          .flatMap(word -> word.member().stream())
          .forEach(id -> assertTrue(members.contains(id.toString()), id + " of\n" + card.text()));
    }
  }

  @ParameterizedTest
  @CsvSource({
    "parallel 20 ~ 65 = 12 ~ 60, 65, B",
    "parallel 20 ~ 65 = 12 ~ 60, 60, D",
    "bevel 11 ~ 43, 43, crown",
    "planetary sun 24 planet 15 x3 ring 54, ring, ring",
    "fore: planetary sun 24 planet 15 x3 ring 54, sun, fore.sun"
  })
  void aCountOrAWordOfThePartMeansItsMember(String card, String word, String member) {
    assertEquals(
        Optional.of(member),
        CardWords.at(card, card.indexOf(word)).flatMap(CardWord::member).map(Object::toString));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "par| parallel",
        "parallel 20 ~ 65\\nho| hold",
        "'parallel 20 ~ 65\\nhold ' | A B",
        "'parallel 20 ~ 65\\ndrive A 3 ' | rpm rad/s deg/s Nm",
        "parallel 20 ~ 65\\ndrive A 3rp| rpm",
        "'parallel 20 ~ 65\\nlock A = ' | A B",
        "'parallel 20 ~ 65\\nwidth 3 ' | mm in cm",
        "parallel 20 ~ 65\\nmaterial B bra| brass",
        "parallel 20 ~ 65\\nefficiency A| A-B",
        "'parallel 20 ~ 65\\nstate low: ' | drive hold take lock",
        "parallel 20 ~ 65\\nstate low: hold B; ta| take",
        "'a: ' | parallel planetary",
        "planetary sun 24 planet 15 x3 u| uneven",
        "parallel 20 ~ 65 # ho| ",
        "'nothing of this ' | "
      })
  void whatIsOfferedFollowsFromWhatStandsBefore(String card, String begins) {
    String typed = card.replace("\\n", "\n");
    List<String> words =
        CardOffers.at(typed, typed.length()).offers().stream().map(Offer::word).toList();
    List<String> wanted = begins == null ? List.of() : List.of(begins.split(" "));
    assertEquals(wanted, words.subList(0, Math.min(wanted.size(), words.size())), words::toString);
    assertEquals(wanted.isEmpty(), words.isEmpty());
  }

  @Test
  void everyStatementAndEveryWordInOneIsExplained() {
    CardWords.openings(true)
        .forEach(word -> assertFalse(CardWords.meaning("", word).isEmpty(), word));
    for (Verb verb : Verb.values()) {
      verb.follows()
          .words()
          .forEach(
              word ->
                  assertFalse(CardWords.meaning(verb.word(), word).isEmpty(), verb + " " + word));
    }
    for (PartText.Kind kind : PartText.Kind.values()) {
      kind.follows()
          .words()
          .forEach(
              word ->
                  assertFalse(
                      CardWords.meaning(kind.keyword(), word).isEmpty(), kind + " " + word));
    }
  }
}
