package penmirror.web.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Tones;
import penmirror.core.format.PaletteFile;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.RoleTones;
import penmirror.core.planning.ColourPlan;
import penmirror.core.planning.ColourPlan.Carried;
import penmirror.core.planning.ColourPlan.Own;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.RoleWords;
import penmirror.core.words.Wording;
import penmirror.web.evidence.RoleStore;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** The character's colours carried into a study's style. */
@Component
class Colouring {
  private static final int LONGEST_NAME = 40;
  private static final int MOST_TYPED = 24;

  /** Light, strip, shadow, highlight, line. */
  private static final int TONES = 5;

  /** Of the figure; what was named or typed by hand has no measured area. */
  private static final double SHARE_UNKNOWN = 0.05;

  private final SheetMaker sheets;
  private final RoleStore roles;
  private final PlanStore store;
  private final MessageSource messages;

  Colouring(SheetMaker sheets, RoleStore roles, PlanStore store, MessageSource messages) {
    this.sheets = sheets;
    this.roles = roles;
    this.store = store;
    this.messages = messages;
  }

  /**
   * @param character whose colours they are; empty where the study has none whose colours are read
   * @param typed names of the colours typed by hand
   */
  record Coloured(
      StyleSheet sheet,
      Optional<Work> character,
      List<String> typed,
      ColourPlan plan,
      PlanStore.Settings settings) {}

  Coloured of(Study study) {
    Loaded loaded = sheets.load(study);
    PlanStore.Settings settings = store.settings(study.id());
    List<PlanStore.SaidColour> said = store.colours(study.id());
    Optional<Work> character = loaded.character(work -> !read(loaded, work).isEmpty());
    List<Own> own = new ArrayList<>();
    character.ifPresent(work -> own.addAll(found(loaded, work, said)));
    List<String> typed = new ArrayList<>();
    for (PlanStore.SaidColour colour : said) {
      colour
          .hex()
          .filter(hex -> own.stream().noneMatch(of -> of.name().equals(colour.name())))
          .ifPresent(
              hex -> {
                Tones tones = new Tones(OkLab.from(hex), none(), none(), none());
                own.add(new Own(colour.name(), none(), tones, SHARE_UNKNOWN, colour.kept()));
                typed.add(colour.name());
              });
    }
    StyleSheet sheet = loaded.planned();
    ColourPlan plan = ColourPlan.of(sheet, own, settings.keepColoursPercent() / 100.0);
    return new Coloured(sheet, character, typed, plan, settings);
  }

  private static List<RoleTones> read(Loaded loaded, Work work) {
    return loaded.evidence(work).pixels().map(PixelReadings::roles).orElse(List.of());
  }

  /** What was found by itself and what was named by hand, the hand's word first. */
  private List<Own> found(Loaded loaded, Work work, List<PlanStore.SaidColour> said) {
    Map<String, List<RoleStore.Colour>> named = roles.of(work.id());
    List<Own> own = new ArrayList<>();
    List<String> known = new ArrayList<>();
    for (RoleTones role : read(loaded, work)) {
      String word = text("origin.role." + role.role().word());
      known.add(word);
      String name = RoleWords.name(role.role());
      Tones tones = mended(role.tones(), named.getOrDefault(word, List.of()));
      own.add(
          new Own(name, Optional.of(role.role()), tones, role.shareOfFigure(), kept(said, name)));
    }
    named.forEach(
        (word, colours) -> {
          Optional<OkLab> base = tone(colours, RoleStore.Tone.BASE);
          String name = word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
          if (!known.contains(word) && base.isPresent()) {
            Tones tones = mended(new Tones(base.get(), none(), none(), none()), colours);
            own.add(new Own(name, none(), tones, SHARE_UNKNOWN, kept(said, name)));
          }
        });
    return own;
  }

  private static Tones mended(Tones tones, List<RoleStore.Colour> byHand) {
    return new Tones(
        tone(byHand, RoleStore.Tone.BASE).orElse(tones.base()),
        tone(byHand, RoleStore.Tone.SHADOW).or(tones::shadow),
        tone(byHand, RoleStore.Tone.STRIP).or(tones::strip),
        tone(byHand, RoleStore.Tone.HIGHLIGHT).or(tones::highlight));
  }

  private static Optional<OkLab> tone(List<RoleStore.Colour> colours, RoleStore.Tone tone) {
    return colours.stream()
        .filter(colour -> colour.tone() == tone)
        .map(colour -> OkLab.from(EncodedSrgb.fromHex(colour.hex())))
        .findFirst();
  }

  private static boolean kept(List<PlanStore.SaidColour> said, String name) {
    return said.stream().anyMatch(colour -> colour.name().equals(name) && colour.kept());
  }

  /** Whether a colour stays as it is, light and shadow. */
  @Transactional
  public void keep(Study study, String name, boolean kept) {
    Optional<PlanStore.SaidColour> before =
        store.colours(study.id()).stream().filter(said -> said.name().equals(name)).findFirst();
    Optional<EncodedSrgb> hex = before.flatMap(PlanStore.SaidColour::hex);
    if (kept || hex.isPresent()) {
      store.say(study.id(), new PlanStore.SaidColour(name(name), hex, kept));
    } else {
      store.forget(study.id(), name);
    }
  }

  /** One more colour of the character; of a name that was typed before, the new one stands. */
  @Transactional
  public void type(Study study, String name, String hex) {
    EncodedSrgb colour;
    try {
      colour = EncodedSrgb.fromHex(hex.strip());
    } catch (IllegalArgumentException e) {
      throw new RefusedException("plan.colours.hex.wrong", Texts.cut(hex, 20));
    }
    Coloured before = of(study);
    boolean isFound =
        before.plan().colours().stream()
            .map(carried -> carried.own().name())
            .anyMatch(known -> known.equals(name(name)) && !before.typed().contains(known));
    if (isFound) {
      throw new RefusedException("plan.colours.name.taken", name(name));
    }
    if (before.typed().size() >= MOST_TYPED && !before.typed().contains(name(name))) {
      throw new RefusedException("plan.colours.many", MOST_TYPED);
    }
    store.say(study.id(), new PlanStore.SaidColour(name(name), Optional.of(colour), false));
  }

  @Transactional
  public void forget(Study study, String name) {
    store.forget(study.id(), name);
  }

  /** Where a slider was left; what lies outside its range is held at the nearer end. */
  @Transactional
  public void set(Study study, int keepPercent, int opacityPercent) {
    store.keepColours(study.id(), Math.max(0, Math.min(100, keepPercent)));
    store.layerOpacity(study.id(), Math.max(1, Math.min(100, opacityPercent)));
  }

  /** For the palette of a painting program. */
  String palette(Study study) {
    Coloured coloured = of(study);
    String name =
        coloured.character().map(of -> of.title() + ", ").orElse("")
            + Wording.text("plan.after", study.hand());
    List<String> remarks = study.credit().isBlank() ? List.of() : List.of(study.credit());
    return PaletteFile.gpl(name, TONES, remarks, named(coloured.plan().colours()));
  }

  private static List<PaletteFile.Named> named(List<Carried> colours) {
    List<PaletteFile.Named> named = new ArrayList<>();
    for (Carried of : colours) {
      add(named, of, "light", Optional.of(of.light()));
      add(named, of, "strip", of.strip());
      add(named, of, "shadow", of.shadow());
      add(named, of, "highlight", of.highlight());
      add(named, of, "line", of.line());
    }
    return named;
  }

  private static void add(
      List<PaletteFile.Named> named, Carried of, String tone, Optional<OkLab> colour) {
    colour.ifPresent(
        found ->
            named.add(
                new PaletteFile.Named(
                    of.own().name() + ", " + Wording.text("tone." + tone), found.toEncodedSrgb())));
  }

  private static String name(String typed) {
    String name = Texts.cut(typed, LONGEST_NAME);
    if (name.isEmpty()) {
      throw new RefusedException("plan.colours.name.none");
    }
    return name;
  }

  private static <T> Optional<T> none() {
    return Optional.empty();
  }

  private String text(String key) {
    return messages.getMessage(key, null, Locale.ENGLISH);
  }
}
