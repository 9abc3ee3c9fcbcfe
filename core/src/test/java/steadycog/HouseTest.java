package steadycog;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The floors of the house: values go up, nothing runs back down. */
class HouseTest {
  private static final List<String> FLOORS =
      List.of(
          "number",
          "train",
          "notation",
          "motion",
          "shape",
          "piece",
          "assembly",
          "torque",
          "sizing",
          "rating",
          "gearbox",
          "check",
          "cure",
          "study",
          "search",
          "bench",
          "job",
          "report");

  private final JavaClasses core =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("steadycog");

  @Test
  void noPackageCycles() {
    assertTrue(core.size() > 40, "the core's classes were found");
    slices().matching("steadycog.(*)..").should().beFreeOfCycles().check(core);
  }

  @Test
  void packagesUseOnlyFloorsBelow() {
    var house = layeredArchitecture().consideringOnlyDependenciesInLayers();
    for (String floor : FLOORS) {
      house = house.layer(floor).definedBy("steadycog." + floor + "..");
    }
    for (int k = 0; k < FLOORS.size(); k++) {
      String[] above = FLOORS.subList(k + 1, FLOORS.size()).toArray(String[]::new);
      var access = house.whereLayer(FLOORS.get(k));
      house =
          above.length == 0
              ? access.mayNotBeAccessedByAnyLayer()
              : access.mayOnlyBeAccessedByLayers(above);
    }
    house.check(core);
  }

  @Test
  void noInterfaceFileOrJsonCodeInCore() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "javafx..",
            "java.awt..",
            "javax.swing..",
            "com.fasterxml..",
            "java.nio.file..",
            "java.net..",
            "java.sql..")
        .check(core);
    noClasses()
        .should()
        .dependOnClassesThat()
        .haveNameMatching(
            "java\\.io\\.(File|Reader|Writer|.*InputStream|.*OutputStream|PrintStream).*")
        .check(core);
  }
}
