package penmirror.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.util.function.Predicate;
import penmirror.core.file.PictureLimits;
import penmirror.core.file.PictureReader;

@AnalyzeClasses(packages = "penmirror.web", importOptions = DoNotIncludeTests.class)
class WebArchitectureTest {

  @ArchTest
  static final ArchRule STAGES_HAVE_NO_CYCLES =
      slices().matching("penmirror.web.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule ONLY_STORES_TOUCH_THE_DATABASE =
      noClasses()
          .that()
          .haveSimpleNameNotEndingWith("Store")
          .and()
          .resideOutsideOfPackage("penmirror.web.storage..")
          .and()
          .doNotHaveSimpleName("Faults")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.jooq..", "penmirror.web.storage..");

  @ArchTest
  static final ArchRule DOES_NOT_KNOW_THE_COMMAND_LINE =
      noClasses().should().dependOnClassesThat().resideInAPackage("penmirror.commandline..");

  /** Opened past it, pictures of many windows at once would need more memory than there is. */
  @ArchTest
  static final ArchRule ONE_DOOR_TO_PICTURES =
      noClasses()
          .that()
          .resideOutsideOfPackage("penmirror.web.opening..")
          .should()
          .callConstructor(PictureReader.class)
          .orShould()
          .callConstructor(PictureReader.class, PictureLimits.class)
          .orShould()
          .callMethod(PictureReader.class, "open", byte[].class);

  /** A controller asks use cases, and knows no store. */
  @ArchTest
  static final ArchRule CONTROLLERS_KNOW_NO_STORE =
      noClasses()
          .that()
          .haveSimpleNameEndingWith("Controller")
          .should(
              dependOnClassesThatAre(
                  "a store", type -> type.getSimpleName().endsWith("Store") && !type.isRecord()));

  private static ArchCondition<JavaClass> dependOnClassesThatAre(
      String what, Predicate<JavaClass> which) {
    return new ArchCondition<>("depend on " + what) {
      @Override
      public void check(JavaClass from, ConditionEvents events) {
        from.getDirectDependenciesFromSelf().stream()
            .filter(dependency -> which.test(dependency.getTargetClass()))
            .forEach(
                dependency ->
                    events.add(SimpleConditionEvent.satisfied(from, dependency.getDescription())));
      }
    };
  }
}
