package steadycog.app.files;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import steadycog.app.files.Shop.Made;
import steadycog.piece.UnmakeableException;

/** Whatever comes of making files is said, and nothing is written that was not finished. */
class ShopTest {
  @TempDir Path folder;

  private String said(String name, Shop.Works works) throws Exception {
    Shop shop = new Shop(Runnable::run);
    CompletableFuture<String> came = new CompletableFuture<>();
    shop.saidProperty()
        .subscribe(
            words -> {
              if (!words.isEmpty()) {
                came.complete(words);
              }
            });
    shop.makeAll(folder.resolve(name), works);
    return came.get(60, TimeUnit.SECONDS);
  }

  @Test
  void severalFilesAreNamedInTheirOrder() throws Exception {
    Map<Path, byte[]> files = new LinkedHashMap<>();
    List<String> names = List.of("b-2.dxf", "b-1.dxf", "b-3.dxf");
    names.forEach(name -> files.put(folder.resolve(name), new byte[1500]));
    String words = said("b.dxf", (cancelled, told) -> new Made(files, "left out: shaft"));
    assertEquals("b-2.dxf, b-1.dxf, b-3.dxf written, 5\u2009kB. left out: shaft.", words);
    for (String name : names) {
      assertEquals(1500, Files.size(folder.resolve(name)));
    }
    assertFalse(Files.exists(folder.resolve("b.dxf")));
  }

  @Test
  void whatIsNotWrittenIsSaidWithItsReason() throws Exception {
    assertEquals(
        "b.dxf was not written: nothing is flat.",
        said("b.dxf", (cancelled, told) -> new Made(Map.of(), "nothing is flat")));
    assertEquals(
        "b.stl was not written: ring is too large.",
        said(
            "b.stl",
            (cancelled, told) -> {
              throw new UnmakeableException("ring is too large");
            }));
    assertEquals(
        "Stopped; b.stl was not written.",
        said(
            "b.stl",
            (cancelled, told) -> {
              throw new CancellationException();
            }));
    Path none = folder.resolve("none/b.stl");
    assertTrue(
        said("b.stl", (cancelled, told) -> new Made(Map.of(none, new byte[1]), ""))
            .startsWith("b.stl cannot be written: "));
    try (var left = Files.list(folder)) {
      assertEquals(List.of(), left.toList());
    }
  }

  @Test
  void faultsOfTheProgramAreHandedOn() throws Exception {
    Thread.UncaughtExceptionHandler before = Thread.getDefaultUncaughtExceptionHandler();
    List<Throwable> faults = new ArrayList<>();
    Thread.setDefaultUncaughtExceptionHandler((thread, fault) -> faults.add(fault));
    try {
      String words =
          said(
              "b.stl",
              (cancelled, told) -> {
                throw new IllegalStateException("broken");
              });
      assertEquals("b.stl was not made: a fault of the program, not of the train.", words);
      assertEquals("broken", faults.getFirst().getMessage());
    } finally {
      Thread.setDefaultUncaughtExceptionHandler(before);
    }
  }
}
