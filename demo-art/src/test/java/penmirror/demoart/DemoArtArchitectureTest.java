package penmirror.demoart;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "penmirror.demoart", importOptions = DoNotIncludeTests.class)
class DemoArtArchitectureTest {

  /** Truth must not come from the code under test. */
  @ArchTest
  static final ArchRule DOES_NOT_MEASURE =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "penmirror.core.measure..",
              "penmirror.core.style..",
              "penmirror.core.scoring..",
              "penmirror.core.planning..",
              "penmirror.core.raster..");

  @ArchTest
  static final ArchRule STAGES_DEPEND_ONE_WAY =
      slices().matching("penmirror.demoart.(*)..").should().beFreeOfCycles();
}
