package penmirror.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.act.Acts;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Mood;
import penmirror.core.figure.View;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Portrayal;
import penmirror.core.style.Said;
import penmirror.core.style.StyleSheet;

/** Sheets that are written keep the schema that ships, asked by a reader of schemas not our own. */
class StyleSchemaTest {
  private static final Schema SCHEMA = schema();

  private static Schema schema() {
    try (InputStream in = StyleFile.class.getResourceAsStream("style.schema.json")) {
      String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
          .getSchema(text, InputFormat.JSON);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private static StyleSheet sheet() {
    Portrayal shows =
        new Portrayal(
            Optional.of(Framing.BUST), Optional.of(Kind.WOMAN), Optional.of(Mood.SLY), "night");
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      works.add(
          new MeasuredWork(
                  "" + i,
                  "Work " + i,
                  "",
                  View.THREE_QUARTER,
                  Map.of(FaceMeasures.EYE_LINE, 0.6 + i / 100.0, LineMeasures.WIDTH, 12.0),
                  List.of(new Swatch(new OkLab(0.5, 0.1, 0), 0.4, Swatch.Role.LINE)))
              .showing(shows));
    }
    return StyleSheet.of("A hand", View.THREE_QUARTER, works)
        .makingOrBreaking(List.of(Acts.byKey("eye-height").orElseThrow()))
        .wantedFor(shows)
        .saying(
            List.of(
                new Said(
                    FaceMeasures.EYE_LINE,
                    Optional.of(new Said.Band(FaceMeasures.EYE_LINE, 0.5, 0.7)),
                    List.of("2"))));
  }

  private static List<?> faults(String json) {
    return SCHEMA.validate(json, InputFormat.JSON);
  }

  @Test
  void whatIsWrittenKeepsTheSchema() {
    assertThat(faults(StyleFile.of(sheet()).toJson())).isEmpty();
    assertThat(faults(StyleFile.of(StyleSheet.of("Nobody", View.FRONT, List.of())).toJson()))
        .isEmpty();
  }

  @Test
  void fieldsOfANewerOneMayStandBeside() {
    String json = StyleFile.of(sheet()).toJson().replaceFirst("\\{", "{\"ghosts\":[1],");
    assertThat(faults(json)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "pen-mirror/style, pen-mirror/marks",
    "three-quarter, askew",
    "\"version\" : 1, \"version\" : 2",
    "\"handSet\" : true, \"handSet\" : 3",
    "\"mood\" : \"sly\", \"mood\" : \"smug\"",
    "\"grounds\" : \"by-hand\", \"grounds\" : \"a whim\""
  })
  void whatDoesNotKeepItIsTold(String right, String wrong) {
    String json = StyleFile.of(sheet()).toJson();
    assertThat(json).contains(right);
    assertThat(faults(json.replace(right, wrong))).isNotEmpty();
  }
}
