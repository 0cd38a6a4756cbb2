package penmirror.web.tray;

import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import java.util.List;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.file.UnusablePictureException;
import penmirror.demoart.scan.ScanFile;
import penmirror.demoart.scan.Settings;
import penmirror.web.layout.NotFoundException;
import penmirror.web.studies.Work;

/** The scan tray: what lies in it, what cleaning makes of a page, and the way into a study. */
@Controller
class TrayController {
  private final Tray tray;
  private final CleaningTable table;
  private final TrayTable page;
  private final TakingIn takingIn;
  private final Glass glass;

  TrayController(Tray tray, CleaningTable table, TrayTable page, TakingIn takingIn, Glass glass) {
    this.tray = tray;
    this.table = table;
    this.page = page;
    this.takingIn = takingIn;
    this.glass = glass;
  }

  @GetMapping("/tray")
  String page(
      @RequestParam("page") Optional<String> fileName,
      @RequestParam Optional<Long> study,
      @RequestParam Optional<Work.Role> role,
      Cleaning.Fields fields,
      Model model) {
    page.addTo(model, fileName, study, role, fields.cleaning(), List.of());
    return "tray/page";
  }

  /** The list alone, asked for again and again while the page is open. */
  @GetMapping("/tray/pages")
  String pages(@RequestParam("page") Optional<String> fileName, Model model) {
    page.addRows(model, fileName);
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
      @Valid TakingIn.Form form,
      Cleaning.Fields fields,
      Model model,
      HttpServletResponse response) {
    Cleaning cleaning = fields.cleaning();
    TakingIn.Outcome outcome = takingIn.take(form, cleaning);
    if (outcome instanceof TakingIn.Refused refused) {
      response.setStatus(HttpStatus.BAD_REQUEST.value());
      page.addTo(
          model,
          Optional.of(form.page()),
          Optional.of(form.study()),
          Optional.of(form.role()),
          cleaning,
          List.of(refused.reason()));
      return "tray/page";
    }
    long work = ((TakingIn.Taken) outcome).workId();
    String base = "redirect:/studies/" + form.study();
    return form.role() == Work.Role.SOURCE
        ? base + "/gather?work=" + work
        : base + "/works/" + work + "/measure";
  }

  @PostMapping("/tray/scan")
  String scan(
      @RequestParam String picture,
      @RequestParam Settings.Medium medium,
      @RequestParam int resolution,
      @RequestParam ScanFile.Format format)
      throws UnusablePictureException {
    glass.lay(picture, new StandInScanner.Job(medium, resolution, format));
    return "redirect:/tray";
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
}
