package penmirror.web.library;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import penmirror.core.act.Acts;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.core.words.Wording;
import penmirror.web.layout.SvgNumber;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;

/** Lines the studies up, each with what is known and what comes next. */
@Component
class LineUp {
  /** Height of a figure in the line-up, crown to ground, in pixels of the page. */
  private static final double FIGURE_PIXELS = 262;

  private static final double GROUND_PIXELS = 372;

  private static final int STAND_WIDTH = 284;

  /** From so many studies on each is shown by one figure, and stands closer. */
  private static final int MANY = 3;

  private static final int CLOSE_STAND_WIDTH = 235;

  private final StudyStore studies;
  private final SheetMaker sheets;
  private final MessageSource messages;

  LineUp(StudyStore studies, SheetMaker sheets, MessageSource messages) {
    this.studies = studies;
    this.sheets = sheets;
    this.messages = messages;
  }

  /** One study in the line-up. */
  record Column(
      Study study,
      String worksText,
      List<String> soFar,
      List<Stand> stands,
      String next,
      String nextReason,
      String nextHref,
      String nextLabel) {}

  /**
   * A work standing on the common ground line at the common height.
   *
   * @param who whose figure it is
   * @param ruler one head after the other from the crown down; the last is cut by the ground
   */
  record Stand(
      String who,
      Work work,
      String x,
      String y,
      String width,
      String height,
      Ruler ruler,
      String label) {}

  /**
   * The head ruler as three paths, for there are many figures.
   *
   * @param ink every second head of the bar, the first among them; the others are white
   * @param levels a line across at the top of each head
   */
  record Ruler(String ink, String white, String levels) {
    static Ruler of(double headPixels, int right) {
      StringBuilder ink = new StringBuilder();
      StringBuilder white = new StringBuilder();
      StringBuilder levels = new StringBuilder();
      for (int i = 0; i * headPixels <= FIGURE_PIXELS && i < 20; i++) {
        double y = GROUND_PIXELS - FIGURE_PIXELS + i * headPixels;
        String tall = SvgNumber.of(Math.min(headPixels, GROUND_PIXELS - y));
        (i % 2 == 0 ? ink : white)
            .append("M14 ")
            .append(SvgNumber.of(y))
            .append("h8v")
            .append(tall)
            .append("h-8z");
        levels.append("M26 ").append(SvgNumber.of(y)).append('H').append(right);
      }
      return new Ruler(ink.toString(), white.toString(), levels.toString());
    }
  }

  /**
   * @param inkAt the study whose next step stands out
   * @param many whether each is shown by one figure
   */
  record Page(List<Column> columns, int inkAt, int standWidth, boolean many) {}

  Page page() {
    List<Study> all = studies.all();
    boolean many = all.size() >= MANY;
    List<Loaded> loaded = sheets.load(all);
    List<Column> columns = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      columns.add(column(all.get(i), loaded.get(i), many));
    }
    return new Page(columns, farthest(columns), standWidth(many), many);
  }

  /** The study whose next step stands out: the first that has come to the mirror, or the last. */
  private static int farthest(List<Column> columns) {
    for (int i = 0; i < columns.size(); i++) {
      if (columns.get(i).nextHref().endsWith("/mirror")) {
        return i;
      }
    }
    return columns.size() - 1;
  }

  private static int standWidth(boolean many) {
    return many ? CLOSE_STAND_WIDTH : STAND_WIDTH;
  }

  private Column column(Study study, Loaded loaded, boolean many) {
    List<Work> sources = loaded.inRole(Work.Role.SOURCE);
    List<Work> redraws = loaded.inRole(Work.Role.REDRAW);
    int waits = loaded.isFromFile() ? 0 : loaded.notLookedAt().size();
    String base = "/studies/" + study.id();
    String worksText =
        loaded.isFromFile()
            ? text("library.sheet.file", loaded.sheet().works().size())
            : text("library.works", study.hand(), sources.size());
    // What is seen at first sight is told until somebody has looked.
    List<String> soFar =
        soFar(loaded.sheet().rules().isEmpty() ? loaded.glimpsed() : loaded.sheet());
    List<Stand> stand = stands(study, loaded, many);
    if (sources.isEmpty() && !loaded.isFromFile()) {
      return new Column(
          study,
          worksText,
          soFar,
          stand,
          text("library.next.gather"),
          text("library.next.gather.reason"),
          base + "/gather",
          text("library.open.gather"));
    }
    if (waits > 0) {
      return new Column(
          study,
          worksText,
          soFar,
          stand,
          text("library.next.through", waits),
          text("library.next.through.reason"),
          base + "/through",
          text("library.open.through"));
    }
    if (redraws.isEmpty()) {
      return new Column(
          study,
          worksText,
          soFar,
          stand,
          text("library.next.plan"),
          text("library.next.plan.reason"),
          base + "/plan",
          text("library.open.plan"));
    }
    return new Column(
        study,
        worksText,
        soFar,
        stand,
        text("library.next.mirror", redraws.size()),
        text("library.next.mirror.reason"),
        base + "/mirror",
        text("library.open.mirror"));
  }

  /** The answer so far, in a few words a measure. */
  private static List<String> soFar(StyleSheet sheet) {
    return Stream.of("heads-tall", "eye-height", "eye-gap", "line-weight")
        .flatMap(key -> Acts.byKey(key).stream())
        .flatMap(act -> ActWords.sentence(sheet, act).stream())
        .toList();
  }

  /** A source; among few studies also the own character and the newest attempt, where marked. */
  private List<Stand> stands(Study study, Loaded loaded, boolean many) {
    List<Stand> stands = new ArrayList<>();
    loaded.inRole(Work.Role.SOURCE).stream()
        .flatMap(work -> stand(study.hand(), loaded, work, many).stream())
        .findFirst()
        .ifPresent(stands::add);
    if (many) {
      return stands;
    }
    loaded.inRole(Work.Role.CHARACTER).stream()
        .flatMap(work -> stand(text("library.character"), loaded, work, false).stream())
        .findFirst()
        .ifPresent(stands::add);
    loaded.inRole(Work.Role.REDRAW).stream()
        .reduce((first, last) -> last)
        .flatMap(work -> stand(text("mirror.attempt", work.number()), loaded, work, false))
        .ifPresent(stands::add);
    return stands;
  }

  /** Empty for a work without crown, chin and sole. */
  private Optional<Stand> stand(String who, Loaded loaded, Work work, boolean many) {
    Marks marks = loaded.evidence(work).marks();
    Optional<HeadFrame> head = marks.headFrame();
    Optional<Point> sole = marks.point(Landmark.SOLE);
    if (head.isEmpty() || sole.isEmpty()) {
      return Optional.empty();
    }
    double crown = head.get().crown().y();
    double tall = sole.get().y() - crown;
    if (tall <= 0) {
      return Optional.empty();
    }
    double scale = FIGURE_PIXELS / tall;
    return Optional.of(
        new Stand(
            who,
            work,
            SvgNumber.of(standWidth(many) / 2.0 - head.get().crown().x() * scale),
            SvgNumber.of(GROUND_PIXELS - sole.get().y() * scale),
            SvgNumber.of(work.widthPixels() * scale),
            SvgNumber.of(work.heightPixels() * scale),
            Ruler.of(head.get().headPixels() * scale, standWidth(many) - 14),
            text("library.heads", Wording.number(tall / head.get().headPixels(), 1))));
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
