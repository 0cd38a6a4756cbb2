package penmirror.commandline;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.FormatException;
import penmirror.core.format.MarksFile;
import penmirror.core.format.Sha256;
import penmirror.core.format.StyleFile;
import penmirror.core.measure.Evidence;
import penmirror.core.proposal.Proposal;
import penmirror.core.proposal.Proposer;
import penmirror.core.raster.Picture;
import penmirror.core.reading.ReadingInputs;
import penmirror.core.style.StyleSheet;

/** Opens the files named on the command line. */
final class Inputs {
  private static final String MARKS_ENDING = ".marks.json";

  private Inputs() {}

  /** Bytes; larger ones are not even read into memory. Style sheets grow with their works. */
  private static final long LARGEST_FILE = 256L * 1024 * 1024;

  /** Less sure than this a proposed point does more harm than good. */
  private static final double LEAST_CONFIDENCE = 0.1;

  /** Picture read and marks found. Without marks: none, seen from the front. */
  static Evidence evidence(Path image, @Nullable Path marks) throws UnusableInputException {
    return evidence(image, marks, false);
  }

  /**
   * @param propose whether points that no file marks are proposed from the pixels
   */
  static Evidence evidence(Path image, @Nullable Path marks, boolean propose)
      throws UnusableInputException {
    byte[] bytes = bytes(image);
    Picture picture = picture(image, bytes);
    Optional<MarksFile> file = marks(image, marks);
    if (file.isPresent()) {
      requireSameSize(image, picture, file.get());
      requireNear(image, picture, file.get().marks());
    }
    Marks known = file.map(MarksFile::marks).orElse(Marks.none(View.FRONT));
    Marks all = known;
    if (propose) {
      Proposal proposal = new Proposer(List.of()).propose(picture, known);
      for (Map.Entry<Landmark, Mark> entry :
          proposal.marks(LEAST_CONFIDENCE).landmarks().entrySet()) {
        all = all.with(entry.getKey(), entry.getValue());
      }
    }
    return new Evidence(
        all,
        Optional.of(
            ReadingInputs.of(Sha256.of(bytes), known, List.of())
                .look(picture, step -> {})
                .readings()));
  }

  /** What a marks file answers of the picture: whether a statement holds, by its key. */
  static Map<String, Boolean> answers(Path image, @Nullable Path marks)
      throws UnusableInputException {
    return marks(image, marks).map(MarksFile::clearAnswers).orElse(Map.of());
  }

  static Picture picture(Path image) throws UnusableInputException {
    return picture(image, bytes(image));
  }

  private static Picture picture(Path image, byte[] bytes) throws UnusableInputException {
    try {
      return new PictureReader().open(bytes).picture();
    } catch (UnusablePictureException e) {
      throw new UnusableInputException(image.toString(), String.valueOf(e.getMessage()));
    }
  }

  static StyleSheet style(Path file) throws UnusableInputException {
    try {
      return StyleFile.parse(text(file)).sheet();
    } catch (FormatException e) {
      throw new UnusableInputException(file.toString(), String.valueOf(e.getMessage()));
    }
  }

  /** Marks made on a copy of another size would give wrong lengths without a word. */
  private static void requireSameSize(Path image, Picture picture, MarksFile file)
      throws UnusableInputException {
    Optional<MarksFile.MarkedImage> marked = file.image();
    if (marked.isPresent()
        && (marked.get().widthPixels() != picture.widthPixels()
            || marked.get().heightPixels() != picture.heightPixels())) {
      throw new UnusableInputException(
          image.toString(),
          "The marks were made on a picture of "
              + marked.get().widthPixels()
              + " x "
              + marked.get().heightPixels()
              + " px, this one has "
              + picture.widthPixels()
              + " x "
              + picture.heightPixels()
              + " px. Use the picture that was marked.");
    }
  }

  private static void requireNear(Path image, Picture picture, Marks marks)
      throws UnusableInputException {
    Optional<Landmark> strayed = marks.strayed(picture.widthPixels(), picture.heightPixels());
    if (strayed.isPresent()) {
      throw new UnusableInputException(
          image.toString(),
          "Its landmark \""
              + strayed.get().key()
              + "\" lies far off the picture. Mark it on the picture, or beside it by less than its"
              + " longer side.");
    }
  }

  /** The marks file itself, or the one of the same base name in a folder; none in it: empty. */
  private static Optional<MarksFile> marks(Path image, @Nullable Path marks)
      throws UnusableInputException {
    if (marks == null) {
      return Optional.empty();
    }
    Path file = marks;
    if (Files.isDirectory(marks)) {
      file = marks.resolve(baseName(image) + MARKS_ENDING);
      if (!Files.exists(file)) {
        return Optional.empty();
      }
    }
    try {
      return Optional.of(MarksFile.parse(text(file)));
    } catch (FormatException e) {
      throw new UnusableInputException(file.toString(), String.valueOf(e.getMessage()));
    }
  }

  private static String baseName(Path image) {
    String name = String.valueOf(image.getFileName());
    int dot = name.lastIndexOf('.');
    return dot > 0 ? name.substring(0, dot) : name;
  }

  private static String text(Path file) throws UnusableInputException {
    return new String(bytes(file), StandardCharsets.UTF_8);
  }

  private static byte[] bytes(Path file) throws UnusableInputException {
    try {
      long size = Files.size(file);
      if (size > LARGEST_FILE) {
        throw new UnusableInputException(
            file.toString(),
            "The file has "
                + size / 1048576
                + " MB, more than any that is read here. Save it smaller.");
      }
      return Files.readAllBytes(file);
    } catch (NoSuchFileException e) {
      throw new UnusableInputException(file.toString(), "There is no such file. Check the path.");
    } catch (IOException e) {
      throw new UnusableInputException(
          file.toString(), "The file could not be read: " + e.getMessage());
    }
  }

  static void write(Path file, String text) throws UnusableInputException {
    write(file, text.getBytes(StandardCharsets.UTF_8));
  }

  static void write(Path file, byte[] bytes) throws UnusableInputException {
    try {
      Files.write(file, bytes);
    } catch (IOException e) {
      throw new UnusableInputException(
          file.toString(), "The file could not be written: " + e.getMessage());
    }
  }
}
