package penmirror.web.gather;

import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import penmirror.core.figure.View;
import penmirror.core.file.PictureLimits;
import penmirror.core.file.PictureReader;
import penmirror.core.file.UnusablePictureException;
import penmirror.web.layout.Texts;
import penmirror.web.opening.BusyException;
import penmirror.web.opening.PictureOpener;
import penmirror.web.sheets.SheetFileStore;
import penmirror.web.sight.FirstLooking;
import penmirror.web.studies.PictureStore.NewPicture;
import penmirror.web.studies.Work;
import penmirror.web.studies.Work.Role;
import penmirror.web.studies.WorkStore;

/** Takes files in: opens each, keeps the untouched bytes, and has it looked at. */
@Component
public class Intake {
  private static final Logger LOG = LoggerFactory.getLogger(Intake.class);
  private static final int LONGEST_CREDIT = 500;

  /** More files in one zip are more likely an accident than a collection. */
  private static final int MOST_ENTRIES = 1500;

  private final WorkStore works;
  private final PictureCopies copies;
  private final FirstLooking firstLooking;
  private final PictureOpener opener;
  private final SheetFileStore sheetFiles;
  private final TransactionTemplate transactions;
  private final MessageSource messages;

  Intake(
      WorkStore works,
      PictureCopies copies,
      FirstLooking firstLooking,
      PictureOpener opener,
      SheetFileStore sheetFiles,
      TransactionTemplate transactions,
      MessageSource messages) {
    this.works = works;
    this.copies = copies;
    this.firstLooking = firstLooking;
    this.opener = opener;
    this.sheetFiles = sheetFiles;
    this.transactions = transactions;
    this.messages = messages;
  }

  /** What came of a file. */
  public sealed interface Outcome permits Taken, AlreadyHere, Refused {}

  /**
   * @param profileBroken whether its colours were taken as sRGB for want of a sound profile
   */
  public record Taken(long workId, boolean profileBroken) implements Outcome {}

  public record AlreadyHere(Work work) implements Outcome {}

  /**
   * @param reason plain words from the core
   */
  public record Refused(String reason) implements Outcome {}

  /** A file of a zip and what came of it. */
  public record Named(String name, Outcome outcome) {}

  /** Where files go and what is said of them. */
  public record Into(long studyId, Role role, String credit, View view) {}

  public Outcome take(
      long studyId, byte[] bytes, Role role, String title, String credit, View view) {
    return take(new Into(studyId, role, credit, view), bytes, title);
  }

  /** Takes in one file. */
  public Outcome take(Into into, byte[] bytes, String title) {
    return take(into, bytes, title, placed -> {});
  }

  /**
   * Takes in one file. Work, copies, the job to read it and what is done along with it are one
   * transaction.
   *
   * @param along done with the work, new or not
   */
  public Outcome take(Into into, byte[] bytes, String title, Consumer<WorkStore.Placed> along) {
    if (into.role() == Role.SOURCE && sheetFiles.has(into.studyId())) {
      return new Refused(text("gather.refused.sheet.file"));
    }
    Prepared prepared;
    try {
      prepared =
          opener.open(
              bytes,
              opened -> new Prepared(NewPicture.of(bytes, opened), PictureCopies.firstOf(opened)));
    } catch (UnusablePictureException e) {
      return new Refused(String.valueOf(e.getMessage()));
    } catch (BusyException e) {
      return new Refused(text("fault.busy"));
    } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
      // A fault of ours on one file is no reason to leave the others out.
      LOG.error("A picture of {} bytes could not be opened.", bytes.length, e);
      return new Refused(text("reading.fault"));
    }
    NewPicture picture = prepared.picture();
    // The database writes this one while the next is opened.
    WorkStore.Placed placed =
        Objects.requireNonNull(
            transactions.execute(status -> placed(into, prepared, title, along)));
    if (!placed.isNew()) {
      return new AlreadyHere(placed.work());
    }
    return new Taken(placed.work().id(), picture.profile() == PictureReader.Profile.BROKEN);
  }

  private record Prepared(NewPicture picture, List<PictureCopies.Copy> copies) {}

  private WorkStore.Placed placed(
      Into into, Prepared prepared, String title, Consumer<WorkStore.Placed> along) {
    WorkStore.Placed placed =
        works.take(
            into.studyId(),
            prepared.picture(),
            into.role(),
            title,
            Texts.cut(into.credit(), LONGEST_CREDIT),
            into.view());
    if (placed.isNew()) {
      copies.keep(prepared.picture().sha256(), prepared.copies());
      firstLooking.want(placed.work());
    }
    along.accept(placed);
    return placed;
  }

  /** Takes in every picture of a zip; those that cannot be used are named, the others come in. */
  public List<Named> takeZip(InputStream zipped, Into into) throws IOException {
    List<Named> outcomes = new ArrayList<>();
    try (ZipInputStream zip = new ZipInputStream(zipped, StandardCharsets.UTF_8)) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        String name = baseName(entry.getName());
        if (entry.isDirectory() || name.startsWith(".") || isSystems(entry.getName())) {
          continue;
        }
        if (outcomes.size() >= MOST_ENTRIES) {
          outcomes.add(new Named(name, new Refused(text("gather.zip.many", MOST_ENTRIES))));
          break;
        }
        outcomes.add(new Named(name, takeEntry(zip, name, into)));
      }
    } catch (ZipException | IllegalArgumentException e) {
      // A name in another character set is an IllegalArgumentException.
      outcomes.add(new Named("", new Refused(text("gather.zip.damaged"))));
    } catch (EOFException e) {
      outcomes.add(new Named("", new Refused(text("gather.zip.short"))));
    }
    if (outcomes.isEmpty()) {
      outcomes.add(new Named("", new Refused(text("gather.zip.empty"))));
    }
    return outcomes;
  }

  private Outcome takeEntry(ZipInputStream zip, String name, Into into) throws IOException {
    long limit = PictureLimits.DEFAULTS.fileBytes();
    byte[] bytes = zip.readNBytes((int) limit + 1);
    if (bytes.length > limit) {
      return new Refused(text("gather.zip.large", limit / 1048576));
    }
    return take(into, bytes, titleOf(name));
  }

  /** Files that operating systems put into zips beside the user's own. */
  private static boolean isSystems(String path) {
    return path.startsWith("__MACOSX/")
        || path.endsWith("Thumbs.db")
        || path.endsWith("desktop.ini");
  }

  private static String baseName(String path) {
    return path.substring(Math.max(path.lastIndexOf('/'), path.lastIndexOf('\\')) + 1);
  }

  /** A title made from a file's name: without folders and ending, words apart. */
  public static String titleOf(String fileName) {
    String base = baseName(fileName);
    int dot = base.lastIndexOf('.');
    String title =
        (dot > 0 ? base.substring(0, dot) : base).replace('-', ' ').replace('_', ' ').strip();
    return Work.cutTitle(title.isEmpty() ? base : title);
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
