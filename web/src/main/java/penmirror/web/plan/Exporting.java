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
  private final Figuring figuring;
  private final Colouring colouring;
  private final OwnItems ownItems;
  private final SheetMaker sheets;
  private final MessageSource messages;

  Exporting(
      Planning planning,
      Figuring figuring,
      Colouring colouring,
      OwnItems ownItems,
      SheetMaker sheets,
      MessageSource messages) {
    this.planning = planning;
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
    StyleSheet sheet = sheets.sheetOf(study);
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
    files.put("guide.svg", svg(study));
    files.put("guide.png", png(study));
    files.put("guide.ora", layers(study));
    files.put("guide.pdf", pdf(study, Optional.empty()));
    if (figuring.hasGhost(study)) {
      files.put("ghost.png", figuring.ghostOnCanvas(study));
    }
    files.put("colours.gpl", colouring.palette(study).getBytes(StandardCharsets.UTF_8));
    files.put("credit.txt", credit(study).getBytes(StandardCharsets.UTF_8));
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
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

  byte[] svg(Study study) {
    return SvgWriter.write(planning.guide(study)).getBytes(StandardCharsets.UTF_8);
  }

  /** With how large it is on paper. */
  byte[] png(Study study) {
    return PngWriter.write(SceneImage.of(planning.guide(study)), Optional.of(onPaper(study)));
  }

  /**
   * @param asked how large it is on paper; as it was set where it is not asked for
   */
  byte[] pdf(Study study, Optional<Resolution> asked) {
    Resolution resolution = asked.orElseGet(() -> onPaper(study));
    return PdfWriter.write(planning.guide(study), resolution.pixelsPerInch());
  }

  byte[] layers(Study study) {
    return OpenRasterWriter.write(layered(study));
  }

  private Resolution onPaper(Study study) {
    return new Resolution(planning.pixelsPerInch(study));
  }

  /** The guide's layers, and the ghost under them where there is one. */
  private Scene layered(Study study) {
    Scene guide = planning.guide(study);
    if (!figuring.hasGhost(study)) {
      return guide;
    }
    Item ghost =
        new Item.Shown(
            figuring.ghostOnCanvas(study),
            "image/png",
            0,
            0,
            guide.widthPixels(),
            guide.heightPixels());
    List<Scene.Layer> layers = new ArrayList<>(List.of(new Scene.Layer("ghost", List.of(ghost))));
    layers.addAll(guide.layers());
    return new Scene(
        guide.widthPixels(), guide.heightPixels(), guide.title(), guide.description(), layers);
  }

  private String credit(Study study) {
    List<String> uncredited = sheets.sheetOf(study).uncredited();
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
