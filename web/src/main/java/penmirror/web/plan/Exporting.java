package penmirror.web.plan;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.OpenRasterWriter;
import penmirror.core.drawing.PdfWriter;
import penmirror.core.drawing.Scene;
import penmirror.core.drawing.SceneImage;
import penmirror.core.drawing.SvgWriter;
import penmirror.core.figure.View;
import penmirror.core.file.PngWriter;
import penmirror.core.file.Resolution;
import penmirror.core.planning.BrushTable;
import penmirror.core.planning.GuidePlan;
import penmirror.core.style.DrawingStage;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.BrushWords;
import penmirror.core.telling.Checklist;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;

/** A plan as files: what a drawing needs in one go, and the list to print. */
@Component
class Exporting {
  private final Planning planning;
  private final Posing posing;
  private final Figuring figuring;
  private final Colouring colouring;
  private final OwnItems ownItems;
  private final SheetMaker sheets;
  private final MessageSource messages;

  Exporting(
      Planning planning,
      Posing posing,
      Figuring figuring,
      Colouring colouring,
      OwnItems ownItems,
      SheetMaker sheets,
      MessageSource messages) {
    this.planning = planning;
    this.posing = posing;
    this.figuring = figuring;
    this.colouring = colouring;
    this.ownItems = ownItems;
    this.sheets = sheets;
    this.messages = messages;
  }

  /** What is to be remembered at one stage. */
  record StageItems(String stage, List<Checklist.Item> items) {}

  /**
   * @param brushes in one line; empty where they are not known
   */
  record PrintPage(List<StageItems> stages, String brushes, List<ColoursPage.Row> colours) {}

  PrintPage printPage(Study study) {
    StyleSheet sheet = sheets.plannedOf(study);
    GuidePlan plan = planning.plan(study);
    BrushTable brushes = BrushTable.of(sheet, plan.headPixels());
    Checklist list = Checklist.of(sheet, plan, brushes, ownItems.of(study));
    List<StageItems> stages = new ArrayList<>();
    for (DrawingStage stage : DrawingStage.values()) {
      List<Checklist.Item> items =
          list.items().stream().filter(item -> item.stage() == stage).toList();
      if (!items.isEmpty()) {
        stages.add(new StageItems(stage.word(), items));
      }
    }
    return new PrintPage(
        stages,
        brushes.lines().isEmpty() ? "" : BrushWords.all(brushes),
        ColoursPage.of(colouring.of(study), ColoursPage.Layer.SHADOW).rows());
  }

  /** Guide and ghost in every form, the palette, and whom to credit. */
  byte[] everything(Study study) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put("guide.svg", svg(study, GuideAsked.FRONT));
    files.put("guide.png", png(study, GuideAsked.FRONT));
    Optional<Item.Shown> ghost = ghost(study, GuideAsked.FRONT);
    Scene guide = planning.guide(study, GuideAsked.FRONT);
    files.put("guide.ora", OpenRasterWriter.write(layered(guide, ghost)));
    files.put("guide.pdf", pdf(study, GuideAsked.FRONT, Optional.empty()));
    for (Posing.Side side : posing.sides(study)) {
      GuideAsked turned = GuideAsked.turned(side.of());
      if (side.of() != View.FRONT) {
        files.put(turned.fileWord() + ".svg", svg(study, turned));
      }
    }
    ghost.ifPresent(shown -> files.put("ghost.png", alone(guide, shown)));
    files.put("colours.gpl", colouring.palette(study).getBytes(StandardCharsets.UTF_8));
    files.put("credit.txt", credit(study).getBytes(StandardCharsets.UTF_8));
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      // Most of it is packed already.
      zip.setLevel(Deflater.BEST_SPEED);
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(file.getKey()));
        zip.write(file.getValue());
        zip.closeEntry();
      }
    } catch (IOException e) {
      throw new UncheckedIOException("A zip could not be written into memory.", e);
    }
    return bytes.toByteArray();
  }

  byte[] svg(Study study, GuideAsked asked) {
    return SvgWriter.write(planning.guide(study, asked)).getBytes(StandardCharsets.UTF_8);
  }

  /** With how large it is on paper. */
  byte[] png(Study study, GuideAsked asked) {
    return PngWriter.write(
        SceneImage.of(planning.guide(study, asked)), Optional.of(onPaper(study)));
  }

  /**
   * @param printed how large it is on paper; as it was set where it is not asked for
   */
  byte[] pdf(Study study, GuideAsked asked, Optional<Resolution> printed) {
    Resolution resolution = printed.orElseGet(() -> onPaper(study));
    return PdfWriter.write(planning.guide(study, asked), resolution.pixelsPerInch());
  }

  byte[] layers(Study study, GuideAsked asked) {
    return OpenRasterWriter.write(layered(planning.guide(study, asked), ghost(study, asked)));
  }

  private Resolution onPaper(Study study) {
    return new Resolution(planning.pixelsPerInch(study));
  }

  /** The character's drawing to lie under a guide from the front; empty where there is none. */
  private Optional<Item.Shown> ghost(Study study, GuideAsked asked) {
    return asked.equals(GuideAsked.FRONT) && figuring.hasGhost(study)
        ? Optional.of(figuring.ghostToShow(study))
        : Optional.empty();
  }

  private static Scene layered(Scene guide, Optional<Item.Shown> ghost) {
    List<Scene.Layer> layers = new ArrayList<>();
    ghost.ifPresent(shown -> layers.add(new Scene.Layer("ghost", List.of(shown))));
    layers.addAll(guide.layers());
    return over(guide, layers);
  }

  /** On the canvas of a guide, without it. */
  private static byte[] alone(Scene guide, Item.Shown ghost) {
    Scene only = over(guide, List.of(new Scene.Layer("ghost", List.of(ghost))));
    return PngWriter.write(SceneImage.of(only), Optional.empty());
  }

  private static Scene over(Scene guide, List<Scene.Layer> layers) {
    return new Scene(
        guide.widthPixels(), guide.heightPixels(), guide.title(), guide.description(), layers);
  }

  private String credit(Study study) {
    List<String> uncredited = sheets.plannedOf(study).uncredited();
    String credit =
        study.credit().isBlank()
            ? messages.getMessage("plan.credit.none", null, Locale.ENGLISH)
            : study.credit();
    String caution =
        messages.getMessage("plan.credit", new Object[] {study.hand(), credit}, Locale.ENGLISH);
    return uncredited.isEmpty()
        ? caution + "\n"
        : caution
            + "\n"
            + messages.getMessage(
                "plan.credit.works", new Object[] {String.join(", ", uncredited)}, Locale.ENGLISH)
            + "\n";
  }
}
