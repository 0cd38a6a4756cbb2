package penmirror.web.tray;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.figure.View;
import penmirror.core.file.Resolution;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.words.Wording;
import penmirror.demoart.scan.ScanFile;
import penmirror.demoart.scan.Settings;
import penmirror.web.gather.Intake;
import penmirror.web.layout.NotFoundException;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The scan tray: what lies in it, what cleaning makes of a page, and the way into a study. */
@Controller
class TrayController {
  private static final List<Integer> RESOLUTIONS = List.of(150, 300, 600);

  private final Tray tray;
  private final CleaningTable table;
  private final TakingIn takingIn;
  private final StandInScanner scanner;
  private final StudyStore studies;
  private final WorkStore works;
  private final PictureStore pictures;
  private final PictureOpener opener;
  private final MessageSource messages;

  TrayController(
      Tray tray,
      CleaningTable table,
      TakingIn takingIn,
      StandInScanner scanner,
      StudyStore studies,
      WorkStore works,
      PictureStore pictures,
      PictureOpener opener,
      MessageSource messages) {
    this.tray = tray;
    this.table = table;
    this.takingIn = takingIn;
    this.scanner = scanner;
    this.studies = studies;
    this.works = works;
    this.pictures = pictures;
    this.opener = opener;
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

  @GetMapping("/tray")
  String page(
      @RequestParam Optional<String> page,
      @RequestParam Optional<Long> study,
      @RequestParam Optional<Work.Role> role,
      Cleaning.Fields fields,
      Model model) {
    fill(model, page, study, role, fields.cleaning(), List.of());
    return "tray/page";
  }

  /** The list alone, asked for again and again while the page is open. */
  @GetMapping("/tray/pages")
  String pages(@RequestParam Optional<String> page, Model model) {
    addRows(model, tray.pages(), page);
    return "tray/page :: pages";
  }

  @GetMapping("/tray/picture")
  ResponseEntity<byte[]> raw(@RequestParam String page) {
    return picture(page, table.raw(ready(page)));
  }

  @GetMapping("/tray/cleaned")
  ResponseEntity<byte[]> cleaned(@RequestParam String page, Cleaning.Fields fields) {
    return picture(page, table.cleaned(ready(page), fields.cleaning()));
  }

  @PostMapping("/tray/take")
  String take(
      @RequestParam String page,
      @RequestParam long study,
      @RequestParam Work.Role role,
      @RequestParam(defaultValue = "") String title,
      @RequestParam View view,
      @RequestParam(defaultValue = "") String resolution,
      Cleaning.Fields fields,
      Model model,
      jakarta.servlet.http.HttpServletResponse response) {
    Study into = studies.require(study);
    Cleaning cleaning = fields.cleaning();
    Optional<Resolution> stated;
    try {
      stated =
          resolution.isBlank()
              ? Optional.empty()
              : Optional.of(new Resolution(Double.parseDouble(resolution.strip())));
    } catch (IllegalArgumentException e) {
      return refuse(
          model, response, page, into, role, cleaning, text("tray.resolution.wrong", resolution));
    }
    if (cleaning.waitsForLine()) {
      return refuse(model, response, page, into, role, cleaning, text("tray.line.none"));
    }
    Optional<Long> work =
        takingIn.take(
            page,
            cleaning,
            stated,
            new TakingIn.Order(
                into.id(), role, title(into, role, title, page), credit(into, role), view));
    if (work.isEmpty()) {
      return refuse(model, response, page, into, role, cleaning, text("tray.gone", page));
    }
    String base = "redirect:/studies/" + into.id();
    return role == Work.Role.SOURCE
        ? base + "/gather?work=" + work.get()
        : base + "/works/" + work.get() + "/measure";
  }

  @PostMapping("/tray/scan")
  String scan(
      @RequestParam String picture,
      @RequestParam Settings.Medium medium,
      @RequestParam int resolution,
      @RequestParam ScanFile.Format format)
      throws UnusablePictureException {
    if (!RESOLUTIONS.contains(resolution)) {
      throw new NotFoundException("fault.tray.resolution", resolution);
    }
    byte[] bytes = pictures.file(picture).bytes();
    // A picture that came from a scan may be TIFF; all in the library have been opened before.
    scanner.scan(
        opener.open(bytes, opened -> opened.picture().toImage()),
        new StandInScanner.Job(medium, resolution, format));
    return "redirect:/tray";
  }

  private String refuse(
      Model model,
      jakarta.servlet.http.HttpServletResponse response,
      String page,
      Study study,
      Work.Role role,
      Cleaning cleaning,
      String fault) {
    response.setStatus(HttpStatus.BAD_REQUEST.value());
    fill(
        model,
        Optional.of(page),
        Optional.of(study.id()),
        Optional.of(role),
        cleaning,
        List.of(fault));
    return "tray/page";
  }

  private void fill(
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
    model.addAttribute("resolutions", RESOLUTIONS);
    model.addAttribute("piles", all.stream().map(this::pile).toList());
    model.addAttribute("media", Settings.Medium.values());
    model.addAttribute("formats", ScanFile.Format.values());
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

  /** A page that is ready to be looked at. */
  private TrayPage ready(String fileName) {
    return tray.page(fileName)
        .filter(TrayPage::isReady)
        .orElseThrow(() -> new NotFoundException("fault.tray.page", fileName));
  }

  private static ResponseEntity<byte[]> picture(String fileName, Optional<byte[]> png) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_PNG)
        .cacheControl(CacheControl.noStore())
        .body(png.orElseThrow(() -> new NotFoundException("fault.tray.page", fileName)));
  }

  private String title(Study study, Work.Role role, String asked, String fileName) {
    if (!asked.isBlank()) {
      return Work.cutTitle(asked.strip());
    }
    return role == Work.Role.REDRAW
        ? text("mirror.attempt", works.inRole(study.id(), role).size() + 1)
        : Intake.titleOf(fileName);
  }

  private String credit(Study study, Work.Role role) {
    return role == Work.Role.SOURCE ? study.credit() : text("mirror.own");
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
