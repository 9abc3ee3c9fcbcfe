package steadycog.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The upper floors: no cycles anywhere, no interface code on the command line's path. */
class HouseTest {
  private final JavaClasses house =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .withImportOption(place -> !place.contains("-tests.jar"))
          .importPackages("steadycog");

  @Test
  void noPackageCyclesInTheWholeHouse() {
    slices().matching("steadycog.(**)").should().beFreeOfCycles().check(house);
  }

  @Test
  void onlyTheAppKnowsTheInterface() {
    noClasses()
        .that()
        .resideOutsideOfPackage("steadycog.app..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("javafx..", "steadycog.app..")
        .check(house);
  }

  @Test
  void theDeskKnowsNoNodes() {
    noClasses()
        .that()
        .resideInAPackage("steadycog.app.desk..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("javafx.scene..", "javafx.stage..", "javafx.application..")
        .check(house);
  }
}
