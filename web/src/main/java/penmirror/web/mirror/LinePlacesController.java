package penmirror.web.mirror;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import penmirror.core.card.CardWords;
import penmirror.core.card.LinesByPlace;
import penmirror.core.telling.BrushWords;
import penmirror.core.words.Wording;
import penmirror.web.cards.Opened;
import penmirror.web.layout.SvgNumber;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Where the line of a redraw is too thin, too heavy, open or closed. */
@Controller
class LinePlacesController {
  private final SheetMaker sheets;
  private final Opened opened;

  LinePlacesController(SheetMaker sheets, Opened opened) {
    this.sheets = sheets;
    this.opened = opened;
  }

  /**
   * @param at places on the redraw, such as "120,340 480,341"
   */
  record Row(String words, String at) {}

  /**
   * @param off farthest from theirs first
   * @param near names of the places that are near enough
   * @param radius of a loop, pixels of the redraw
   * @param told whether anything can be told
   */
  record Page(List<Row> off, String near, String radius, boolean told) {}

  /** A piece of the verdict, as pictures must be opened for it. */
  @GetMapping("/studies/{studyId}/mirror/{workId}/line-places")
  String places(Study study, Work redraw, Model model) {
    model.addAttribute("page", page(sheets.load(study), redraw));
    return "mirror/line-places";
  }

  private Page page(Loaded loaded, Work redraw) {
    Optional<Double> usual = opened.usualLine(loaded);
    Optional<Double> head = loaded.headPixels(redraw);
    Optional<LinesByPlace.Drawing> drawing = opened.lines(loaded, redraw);
    Optional<LinesByPlace> works = opened.places(loaded);
    if (usual.isEmpty() || head.isEmpty() || drawing.isEmpty() || works.isEmpty()) {
      return new Page(List.of(), "", "0", false);
    }
    List<LinesByPlace.Compared> told =
        works.get().compared(usual.get(), drawing).stream()
            .filter(place -> !place.at().isEmpty())
            .toList();
    return new Page(
        told.stream()
            .filter(LinesByPlace.Compared::isOff)
            .map(place -> row(place, head.get()))
            .toList(),
        told.stream()
            .filter(place -> !place.isOff())
            .map(place -> CardWords.name(place.station()))
            .collect(Collectors.joining(", ")),
        SvgNumber.of(head.get() / RADII_A_HEAD),
        !told.isEmpty());
  }

  private static final double RADII_A_HEAD = 10;

  private static Row row(LinesByPlace.Compared place, double headPixels) {
    String key =
        place.theirs().isEmpty()
            ? "closed"
            : place.own().isEmpty()
                ? "open"
                : place.own().getAsDouble() < place.theirs().getAsDouble() ? "thin" : "heavy";
    return new Row(
        Wording.text(
            "line.place." + key,
            CardWords.name(place.station()),
            pixels(place.own(), headPixels),
            pixels(place.theirs(), headPixels)),
        place.at().stream()
            .map(point -> String.format(Locale.ROOT, "%.1f,%.1f", point.x(), point.y()))
            .collect(Collectors.joining(" ")));
  }

  private static String pixels(OptionalDouble thousandths, double headPixels) {
    return thousandths.isPresent()
        ? BrushWords.pixels(thousandths.getAsDouble() * headPixels / 1000)
        : "";
  }
}
