package penmirror.web.tray;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import penmirror.core.figure.View;
import penmirror.core.words.Wording;
import penmirror.demoart.scan.ScanFile;
import penmirror.demoart.scan.Settings;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** What stands on the tray's page. */
@Component
class TrayTable {
  private final Tray tray;
  private final CleaningTable table;
  private final StudyStore studies;
  private final WorkStore works;
  private final MessageSource messages;

  TrayTable(
      Tray tray, CleaningTable table, StudyStore studies, WorkStore works, MessageSource messages) {
    this.tray = tray;
    this.table = table;
    this.studies = studies;
    this.works = works;
    this.messages = messages;
  }

  /** A page in the list, in words. */
  record Row(String fileName, String text, boolean ready, boolean unreadable, boolean chosen) {}

  /**
   * The page that is looked at.
   *
   * @param outline of what is kept, as SVG points
   * @param resolution in px per inch; empty if the file states none
   */
  record Chosen(
      String fileName,
      int widthPixels,
      int heightPixels,
      String outline,
      String turn,
      String unevenness,
      String paperHex,
      boolean sheetFound,
      String resolution,
      String size,
      Cleaning cleaning) {}

  /** A study with its pictures that can be laid on the stand-in's glass. */
  record Pile(Study study, List<Work> works) {}

  void addTo(
      Model model,
      Optional<String> asked,
      Optional<Long> study,
      Optional<Work.Role> role,
      Cleaning cleaning,
      List<String> faults) {
    List<TrayPage> pages = tray.pages();
    Optional<TrayPage> page =
        pages.stream()
            .filter(TrayPage::isReady)
            .filter(p -> asked.isEmpty() || p.fileName().equals(asked.get()))
            .findFirst()
            .or(() -> pages.stream().filter(TrayPage::isReady).findFirst());
    addRows(model, pages, page.map(TrayPage::fileName));
    List<Study> all = studies.all();
    Optional<Chosen> chosen =
        page.flatMap(p -> table.found(p, cleaning).map(found -> chosen(p, found, cleaning)));
    model.addAttribute("chosen", chosen.orElse(null));
    model.addAttribute("faults", faults);
    model.addAttribute("folder", tray.folder().toString());
    model.addAttribute("studies", all);
    // The study begun last is the likeliest.
    model.addAttribute("into", study.orElse(all.isEmpty() ? null : all.get(all.size() - 1).id()));
    model.addAttribute("role", role.orElse(Work.Role.REDRAW));
    model.addAttribute("views", View.values());
    model.addAttribute("ways", Cleaning.Way.values());
    model.addAttribute("resolutions", Glass.RESOLUTIONS);
    model.addAttribute("piles", all.stream().map(this::pile).toList());
    model.addAttribute("media", Settings.Medium.values());
    model.addAttribute("formats", ScanFile.Format.values());
  }

  /** The list alone. */
  void addRows(Model model, Optional<String> chosen) {
    addRows(model, tray.pages(), chosen);
  }

  private void addRows(Model model, List<TrayPage> pages, Optional<String> chosen) {
    model.addAttribute(
        "rows",
        pages.stream()
            .map(
                page ->
                    new Row(
                        page.fileName(),
                        words(page),
                        page.isReady(),
                        page.state() instanceof TrayPage.Unreadable,
                        chosen.filter(page.fileName()::equals).isPresent()))
            .toList());
    model.addAttribute("shown", chosen.orElse(null));
  }

  private String words(TrayPage page) {
    String size = Wording.number(page.bytes() / 1048576.0, 1);
    if (page.state() instanceof TrayPage.Ready ready) {
      return text(
          ready.resolution().isPresent() ? "tray.ready" : "tray.ready.unstated",
          ready.format(),
          size,
          ready.resolution().map(r -> Wording.number(r.pixelsPerInch(), 0)).orElse(""));
    }
    if (page.state() instanceof TrayPage.Unreadable unreadable) {
      return unreadable.reason();
    }
    return text(
        page.state() instanceof TrayPage.StillWriting ? "tray.writing" : "tray.waiting", size);
  }

  private Chosen chosen(TrayPage page, CleaningTable.Found found, Cleaning cleaning) {
    TrayPage.Ready ready = (TrayPage.Ready) page.state();
    String turn =
        Math.abs(found.turnDegrees()) < 0.005
            ? text("tray.turn.none")
            : text(
                found.turnDegrees() > 0 ? "tray.turn.right" : "tray.turn.left",
                Wording.number(Math.abs(found.turnDegrees()), 2));
    return new Chosen(
        page.fileName(),
        ready.widthPixels(),
        ready.heightPixels(),
        found.kept().stream()
            .map(p -> String.format(Locale.ROOT, "%.1f,%.1f", p.x(), p.y()))
            .collect(Collectors.joining(" ")),
        turn,
        text("tray.uneven", Wording.number(found.unevenness() * 100, 0)),
        found.paperHex(),
        found.sheetFound(),
        ready.resolution().map(r -> Wording.number(r.pixelsPerInch(), 0)).orElse(""),
        ready
            .resolution()
            .map(
                r ->
                    text(
                        "tray.size",
                        Wording.number(r.millimetres(side(found, 0, 1)), 0),
                        Wording.number(r.millimetres(side(found, 1, 2)), 0)))
            .orElse(""),
        cleaning);
  }

  private static double side(CleaningTable.Found found, int from, int to) {
    return found.kept().get(from).distanceTo(found.kept().get(to));
  }

  private Pile pile(Study study) {
    List<Work> pictures = new ArrayList<>();
    for (Work.Role role : List.of(Work.Role.REDRAW, Work.Role.CHARACTER, Work.Role.SOURCE)) {
      pictures.addAll(works.inRole(study.id(), role));
    }
    return new Pile(study, pictures);
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
