package penmirror.web.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.mixing.BlendMode;
import penmirror.core.mixing.LayerAnswer;
import penmirror.core.mixing.SharedLayer;
import penmirror.core.planning.ColourPlan.Carried;
import penmirror.core.planning.ColourPlan.Source;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.core.telling.RoleWords;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;

/**
 * Each colour of the character in the style, and how to mix it: picked, or by a layer over the
 * light.
 *
 * @param rules what the works do with colour and shadow, in sentences
 * @param layer what the layer brings about, the word in addresses and message keys
 * @param modes whose columns are shown
 * @param easiest the mode that reaches the most colours at this opacity; empty where none does
 * @param shared the one layer over everything; empty where there is nothing to shade
 */
record ColoursPage(
    List<String> rules,
    String layer,
    List<String> modes,
    List<Row> rows,
    Optional<Easiest> easiest,
    Optional<Shared> shared,
    boolean hasHighlights) {

  /** A difference of one is just seen; from this on a colour is set by hand. */
  private static final double PLAINLY_OFF = 3;

  private static final double SEEN = 1;

  /** What a layer is laid for. */
  enum Layer {
    SHADOW(
        BlendMode.MULTIPLY,
        BlendMode.HARD_LIGHT,
        BlendMode.OVERLAY,
        BlendMode.SOFT_LIGHT,
        BlendMode.DARKEN,
        BlendMode.COLOR_BURN),
    HIGHLIGHT(
        BlendMode.SCREEN,
        BlendMode.HARD_LIGHT,
        BlendMode.OVERLAY,
        BlendMode.SOFT_LIGHT,
        BlendMode.LIGHTEN,
        BlendMode.COLOR_DODGE);

    /** Those that can go that way; the others only go the other. */
    private final List<BlendMode> modes;

    Layer(BlendMode... modes) {
      this.modes = List.of(modes);
    }

    /** The word in addresses and message keys. */
    String word() {
      return this == SHADOW ? "shadow" : "highlight";
    }

    static Layer ofWord(String word) {
      return word.equals(HIGHLIGHT.word()) ? HIGHLIGHT : SHADOW;
    }

    private Optional<OkLab> target(Carried carried) {
      return this == SHADOW ? carried.shadow() : carried.highlight();
    }
  }

  /**
   * One colour.
   *
   * @param source how its steps were come by, the word in message keys
   * @param works that they come from
   * @param give how far the shadow may lie off, in the picker's brightness; empty where unknown
   * @param own as it is; empty where its light is the same
   * @param step how much darker the shadow is, in the picker's brightness; empty without one
   * @param cells one a mode; none where there is nothing to mix
   */
  record Row(
      String name,
      String source,
      int works,
      String give,
      String own,
      String light,
      String strip,
      String shadow,
      String highlight,
      String line,
      String step,
      boolean kept,
      boolean typed,
      boolean muted,
      List<Cell> cells,
      List<Picker> pickers) {}

  /**
   * What a mode gives.
   *
   * @param hex the layer's colour; empty where it cannot reach
   * @param from the least percentage that reaches, 0 where it never does
   */
  record Cell(String mode, boolean reached, String hex, int from) {}

  /**
   * @param tone which of its tones, in words
   */
  record Picker(String tone, String numbers) {}

  /**
   * @param of how many colours there are to reach
   */
  record Easiest(String mode, int reaches, int of, List<String> others) {}

  /**
   * @param off how far it stays off on average, where 1 is just seen
   * @param howFar the word in message keys
   * @param byHand names of those that stay plainly off
   */
  record Shared(String mode, String hex, String off, String howFar, List<String> byHand) {}

  static ColoursPage of(Colouring.Coloured coloured, Layer layer) {
    double opacity = coloured.settings().layerOpacityPercent() / 100.0;
    List<Carried> colours = coloured.plan().colours();
    List<Row> rows =
        colours.stream().map(carried -> row(carried, coloured.typed(), layer, opacity)).toList();
    return new ColoursPage(
        rules(coloured.sheet()),
        layer.word(),
        layer.modes.stream().map(BlendMode::word).toList(),
        rows,
        easiest(rows, layer),
        shared(colours, layer, opacity),
        colours.stream().anyMatch(carried -> carried.highlight().isPresent()));
  }

  private static List<String> rules(StyleSheet sheet) {
    return ActWords.sentences(
        sheet,
        "colour-count",
        "colour-strength",
        "shadow-depth",
        "shadow-colour",
        "shadow-edge",
        "highlights",
        "line-colour");
  }

  private static Row row(Carried carried, List<String> typed, Layer layer, double opacity) {
    OkLab base = carried.own().tones().base();
    String name = carried.own().name();
    return new Row(
        name,
        carried.source().name().toLowerCase(Locale.ROOT),
        carried.works(),
        give(carried),
        hex(base).equals(hex(carried.light())) ? "" : hex(base),
        hex(carried.light()),
        hex(carried.strip()),
        hex(carried.shadow()),
        hex(carried.highlight()),
        hex(carried.line()),
        carried.shadow().map(shadow -> step(carried.light(), shadow)).orElse(""),
        carried.own().kept(),
        typed.contains(name),
        carried.muted(),
        cells(carried, layer, opacity),
        pickers(carried));
  }

  private static String give(Carried carried) {
    boolean known = carried.source() == Source.LAW && carried.giveLightness() > 0;
    return known ? Wording.number(Math.abs(Spoken.pickerStep(carried.giveLightness())), 0) : "";
  }

  private static String step(OkLab light, OkLab shadow) {
    double step = Spoken.brightness(shadow.lightness()) - Spoken.brightness(light.lightness());
    return Wording.number(step, 0);
  }

  private static List<Cell> cells(Carried carried, Layer layer, double opacity) {
    Optional<OkLab> target = layer.target(carried);
    if (target.isEmpty()) {
      return List.of();
    }
    EncodedSrgb base = carried.light().toEncodedSrgb();
    EncodedSrgb wanted = target.get().toEncodedSrgb();
    return layer.modes.stream()
        .map(mode -> LayerAnswer.of(mode, base, wanted, opacity))
        .map(
            answer ->
                new Cell(
                    answer.mode().word(),
                    answer.reached(),
                    answer.colour().map(EncodedSrgb::hex).orElse(""),
                    answer.leastOpacityPercent().orElse(0)))
        .toList();
  }

  private static List<Picker> pickers(Carried carried) {
    List<Picker> pickers = new ArrayList<>();
    pickers.add(picker("light", carried.light()));
    carried.shadow().ifPresent(colour -> pickers.add(picker("shadow", colour)));
    carried.strip().ifPresent(colour -> pickers.add(picker("strip", colour)));
    return pickers;
  }

  private static Picker picker(String tone, OkLab colour) {
    return new Picker(Wording.text("tone." + tone), RoleWords.picker(colour));
  }

  /** With the names of those it does not reach. */
  private static Optional<Easiest> easiest(List<Row> rows, Layer layer) {
    List<Row> mixed = rows.stream().filter(row -> !row.cells().isEmpty()).toList();
    return Stream.iterate(0, at -> at + 1)
        .limit(layer.modes.size())
        .map(
            at -> {
              List<String> others =
                  mixed.stream()
                      .filter(row -> !row.cells().get(at).reached())
                      .map(Row::name)
                      .toList();
              int reaches = mixed.size() - others.size();
              return new Easiest(layer.modes.get(at).word(), reaches, mixed.size(), others);
            })
        .filter(easiest -> easiest.reaches() > 0)
        .max(Comparator.comparingInt(Easiest::reaches));
  }

  private static Optional<Shared> shared(List<Carried> colours, Layer layer, double opacity) {
    List<Carried> changed =
        colours.stream().filter(carried -> layer.target(carried).isPresent()).toList();
    List<SharedLayer.Change> changes =
        changed.stream()
            .map(
                carried ->
                    new SharedLayer.Change(
                        carried.light().toEncodedSrgb(),
                        layer.target(carried).orElseThrow().toEncodedSrgb(),
                        carried.own().share()))
            .toList();
    return SharedLayer.of(changes, opacity)
        .map(
            found -> {
              List<String> byHand = new ArrayList<>();
              for (int i = 0; i < changed.size(); i++) {
                if (found.offs().get(i) >= PLAINLY_OFF) {
                  byHand.add(changed.get(i).own().name());
                }
              }
              return new Shared(
                  found.mode().word(),
                  found.colour().hex(),
                  Wording.number(found.meanOff(), 1),
                  howFar(found.meanOff()),
                  byHand);
            });
  }

  private static String howFar(double off) {
    return off < SEEN ? "unseen" : off < PLAINLY_OFF ? "near" : "far";
  }

  private static String hex(OkLab colour) {
    return colour.toEncodedSrgb().hex();
  }

  private static String hex(Optional<OkLab> colour) {
    return colour.map(ColoursPage::hex).orElse("");
  }
}
