package penmirror.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "penmirror.core", importOptions = DoNotIncludeTests.class)
class CoreArchitectureTest {

  @ArchTest
  static final ArchRule KNOWS_NO_FRAMEWORK =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "org.springframework..",
              "java.sql..",
              "javax.sql..",
              "org.jooq..",
              "jakarta.servlet..",
              "penmirror.web..",
              "penmirror.commandline..",
              "penmirror.demoart..");

  @ArchTest
  static final ArchRule LATER_PACKAGES_USE_EARLIER_ONES =
      layeredArchitecture()
          .consideringOnlyDependenciesInLayers()
          .layer("ground")
          .definedBy(
              "penmirror.core.geometry", "penmirror.core.colour", "penmirror.core.statistics")
          .layer("picture")
          .definedBy("penmirror.core.raster", "penmirror.core.figure")
          .layer("drawing")
          .definedBy("penmirror.core.drawing")
          .layer("file")
          .definedBy("penmirror.core.file", "penmirror.core.scan")
          .layer("measure")
          .definedBy("penmirror.core.measure..")
          .layer("proposal")
          .definedBy("penmirror.core.proposal")
          .layer("style")
          .definedBy("penmirror.core.style")
          .layer("use")
          .definedBy("penmirror.core.scoring", "penmirror.core.planning", "penmirror.core.coverage")
          .layer("format")
          .definedBy("penmirror.core.format")
          .whereLayer("format")
          .mayNotBeAccessedByAnyLayer()
          .whereLayer("file")
          .mayNotBeAccessedByAnyLayer()
          .whereLayer("drawing")
          .mayOnlyBeAccessedByLayers("use", "format")
          .whereLayer("use")
          .mayOnlyBeAccessedByLayers("format")
          .whereLayer("proposal")
          .mayOnlyBeAccessedByLayers("format")
          .whereLayer("style")
          .mayOnlyBeAccessedByLayers("use", "format")
          .whereLayer("measure")
          .mayOnlyBeAccessedByLayers("proposal", "style", "use", "format")
          .whereLayer("picture")
          .mayOnlyBeAccessedByLayers("file", "measure", "proposal", "style", "use", "format");

  /** One writer of each kind of drawing; everything else hands it a scene. */
  @ArchTest
  static final ArchRule ONLY_DRAWING_WRITES_SVG_AND_PDF =
      noClasses()
          .that()
          .resideOutsideOfPackage("penmirror.core.drawing")
          .should()
          .dependOnClassesThat()
          .haveFullyQualifiedName("javax.xml.stream.XMLStreamWriter")
          .orShould()
          .dependOnClassesThat()
          .resideInAPackage("org.apache.pdfbox..");
}
