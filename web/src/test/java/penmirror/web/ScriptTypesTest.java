package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.javascript.jscomp.CheckLevel;
import com.google.javascript.jscomp.CommandLineRunner;
import com.google.javascript.jscomp.Compiler;
import com.google.javascript.jscomp.CompilerOptions;
import com.google.javascript.jscomp.CompilerOptions.Environment;
import com.google.javascript.jscomp.CompilerOptions.LanguageMode;
import com.google.javascript.jscomp.DiagnosticGroups;
import com.google.javascript.jscomp.SourceFile;
import com.google.javascript.jscomp.WarningLevel;
import com.google.javascript.jscomp.deps.ModuleLoader.ResolutionMode;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Landmark;

/** Scripts keep to the types that they state, and know every name they use. */
class ScriptTypesTest {
  private static final Path SCRIPTS = Path.of("src/main/resources/static");

  private static final Path EXTERNS = Path.of("src/test/scripts/externs.js");
  private static final Path TEMPLATES = Path.of("src/main/resources/templates");
  private static final Pattern DATA = Pattern.compile("data-([a-z][a-z-]*)");

  @Test
  void scriptsKeepToTheirTypes() throws IOException {
    assertThat(faultsOf(scripts())).isEmpty();
  }

  @Test
  void aWrongTypeAndAWrongNameAreFound() throws IOException {
    SourceFile wrong =
        SourceFile.fromCode(
            "wrong.js",
            "import { fill } from './layout/studio.js';\n"
                + "fill(3);\n"
                + "nobodyKnowsThis();\n"
                + "/** @type {string} */ export const word = 4;\n");

    assertThat(faultsOf(Stream.concat(scripts().stream(), Stream.of(wrong)).toList())).hasSize(3);
  }

  private static List<SourceFile> scripts() throws IOException {
    try (Stream<Path> files = Files.walk(SCRIPTS)) {
      return files
          .filter(file -> file.toString().endsWith(".js"))
          .sorted()
          .map(
              file ->
                  SourceFile.builder()
                      .withPath(SCRIPTS.relativize(file).toString())
                      .withContent(read(file))
                      .build())
          .toList();
    }
  }

  private static String read(Path file) {
    try {
      return Files.readString(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<String> faultsOf(List<SourceFile> scripts) throws IOException {
    CompilerOptions options = new CompilerOptions();
    options.setLanguageIn(LanguageMode.ECMASCRIPT_NEXT);
    options.setChecksOnly(true);
    options.setCheckTypes(true);
    options.setModuleResolutionMode(ResolutionMode.BROWSER);
    WarningLevel.VERBOSE.setOptionsForWarningLevel(options);
    options.setWarningLevel(DiagnosticGroups.CHECK_VARIABLES, CheckLevel.WARNING);
    Compiler compiler =
        new Compiler(
            new PrintStream(OutputStream.nullOutputStream(), false, StandardCharsets.UTF_8));
    List<SourceFile> externs =
        Stream.concat(
                CommandLineRunner.getBuiltinExterns(Environment.BROWSER).stream(),
                Stream.of(
                    SourceFile.fromCode("externs.js", Files.readString(EXTERNS)),
                    SourceFile.fromCode("names.js", namesOfThePage())))
            .toList();
    compiler.compile(externs, scripts, options);
    return Stream.concat(compiler.getErrors().stream(), compiler.getWarnings().stream())
        .map(Object::toString)
        .toList();
  }

  /** Names of data that some template sets, and of landmarks: a script may read no other. */
  private static String namesOfThePage() throws IOException {
    TreeSet<String> names = new TreeSet<>();
    try (Stream<Path> templates = Files.walk(TEMPLATES)) {
      for (Path template : templates.filter(Files::isRegularFile).toList()) {
        DATA.matcher(Files.readString(template))
            .results()
            .forEach(found -> names.add(camelCase(found.group(1))));
      }
    }
    Arrays.stream(Landmark.values()).map(Landmark::key).forEach(names::add);
    StringBuilder externs =
        new StringBuilder("/** @externs */ /** @record */ function Named() {}\n");
    names.forEach(
        name -> externs.append("/** @type {?} */ Named.prototype.").append(name).append(";\n"));
    return externs.toString();
  }

  private static String camelCase(String words) {
    return Pattern.compile("-([a-z])")
        .matcher(words)
        .replaceAll(m -> m.group(1).toUpperCase(Locale.ROOT));
  }
}
