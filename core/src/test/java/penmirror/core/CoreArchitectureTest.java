package penmirror.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.dependencies.SliceAssignment;
import com.tngtech.archunit.library.dependencies.SliceIdentifier;

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
              "penmirror.core.geometry",
              "penmirror.core.colour",
              "penmirror.core.mixing",
              "penmirror.core.statistics")
          .layer("picture")
          .definedBy("penmirror.core.raster", "penmirror.core.figure")
          .layer("drawing")
          .definedBy("penmirror.core.drawing")
          .layer("file")
          .definedBy("penmirror.core.file", "penmirror.core.scan")
          .layer("measure")
          .definedBy("penmirror.core.measure..")
          .layer("reading")
          .definedBy("penmirror.core.reading")
          .layer("act")
          .definedBy("penmirror.core.act")
          .layer("move")
          .definedBy("penmirror.core.move")
          .layer("proposal")
          .definedBy("penmirror.core.proposal..")
          .layer("words")
          .definedBy("penmirror.core.words")
          .layer("style")
          .definedBy("penmirror.core.style")
          .layer("use")
          .definedBy(
              "penmirror.core.scoring",
              "penmirror.core.copying",
              "penmirror.core.planning",
              "penmirror.core.coverage")
          .layer("telling")
          .definedBy("penmirror.core.telling", "penmirror.core.card")
          .layer("format")
          .definedBy("penmirror.core.format")
          .whereLayer("format")
          .mayNotBeAccessedByAnyLayer()
          .whereLayer("telling")
          .mayOnlyBeAccessedByLayers("format")
          .whereLayer("file")
          .mayOnlyBeAccessedByLayers("drawing")
          .whereLayer("drawing")
          .mayOnlyBeAccessedByLayers("use", "telling", "format")
          .whereLayer("use")
          .mayOnlyBeAccessedByLayers("telling", "format")
          .whereLayer("proposal")
          .mayOnlyBeAccessedByLayers("format")
          .whereLayer("style")
          .mayOnlyBeAccessedByLayers("use", "telling", "format")
          .whereLayer("words")
          .mayOnlyBeAccessedByLayers("use", "telling", "format")
          .whereLayer("move")
          .mayOnlyBeAccessedByLayers("use", "telling", "format")
          .whereLayer("act")
          .mayOnlyBeAccessedByLayers("style", "use", "telling", "format")
          .whereLayer("reading")
          .mayOnlyBeAccessedByLayers("proposal", "style", "use", "format")
          .whereLayer("measure")
          .mayOnlyBeAccessedByLayers(
              "reading", "proposal", "act", "move", "words", "style", "use", "telling", "format");

  /** Numbers and identities: only what tells and what draws for people knows words. */
  @ArchTest
  static final ArchRule THE_CORE_SAYS_DATA =
      noClasses()
          .that()
          .resideInAnyPackage(
              "penmirror.core.measure..",
              "penmirror.core.reading",
              "penmirror.core.act",
              "penmirror.core.move",
              "penmirror.core.style",
              "penmirror.core.scoring",
              "penmirror.core.copying",
              "penmirror.core.coverage",
              "penmirror.core.proposal..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("penmirror.core.words", "penmirror.core.telling");

  /** A family of measures stands on what a measure is, and on families before it. */
  @ArchTest
  static final ArchRule MEASURES_HAVE_NO_CYCLES =
      slices()
          .assignedFrom(
              new SliceAssignment() {
                @Override
                public SliceIdentifier getIdentifierOf(JavaClass javaClass) {
                  String name = javaClass.getPackageName();
                  return name.startsWith("penmirror.core.measure")
                          || name.equals("penmirror.core.reading")
                      ? SliceIdentifier.of(name)
                      : SliceIdentifier.ignore();
                }

                @Override
                public String getDescription() {
                  return "measures and their families";
                }
              })
          .should()
          .beFreeOfCycles();

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
