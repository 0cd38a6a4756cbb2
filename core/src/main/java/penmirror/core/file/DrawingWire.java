package penmirror.core.file;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import penmirror.core.file.PictureReader.Opened;
import penmirror.core.file.PictureReader.Profile;
import penmirror.core.file.UnusablePictureException.Reason;
import penmirror.core.raster.Picture;

/** What goes over the pipe to the {@link DrawingProcess} and back. */
final class DrawingWire {
  private static final int CHUNK_PIXELS = 1 << 14;

  private DrawingWire() {}

  /** A file to open. */
  record Asked(byte[] bytes, PictureLimits limits) {}

  /** Either a picture or the reason why there is none. */
  record Answer(@Nullable Opened opened, @Nullable UnusablePictureException refusal) {
    static Answer of(Opened opened) {
      return new Answer(opened, null);
    }

    static Answer of(UnusablePictureException refusal) {
      return new Answer(null, refusal);
    }

    Opened orRefuse() throws UnusablePictureException {
      if (refusal != null) {
        throw refusal;
      }
      return Objects.requireNonNull(opened);
    }
  }

  static void ask(DataOutputStream to, byte[] bytes, PictureLimits limits) throws IOException {
    to.writeLong(limits.fileBytes());
    to.writeLong(limits.pixels());
    to.writeInt(limits.sidePixels());
    to.writeLong(limits.drawing().toMillis());
    to.writeInt(bytes.length);
    to.write(bytes);
    to.flush();
  }

  static Asked asked(DataInputStream from) throws IOException {
    PictureLimits limits =
        new PictureLimits(
            from.readLong(), from.readLong(), from.readInt(), Duration.ofMillis(from.readLong()));
    byte[] bytes = new byte[from.readInt()];
    from.readFully(bytes);
    return new Asked(bytes, limits);
  }

  static void answer(DataOutputStream to, Answer answer) throws IOException {
    Opened opened = answer.opened();
    to.writeBoolean(opened != null);
    if (opened == null) {
      UnusablePictureException refusal = Objects.requireNonNull(answer.refusal());
      to.writeUTF(refusal.reason().name());
      to.writeUTF(String.valueOf(refusal.getMessage()));
    } else {
      to.writeUTF(opened.format().name());
      to.writeUTF(opened.profile().name());
      to.writeDouble(opened.resolution().map(Resolution::pixelsPerInch).orElse(0.0));
      write(to, opened.picture());
    }
    to.flush();
  }

  /** A process that was led astray could answer anything: nothing is taken beyond the limits. */
  static Answer answer(DataInputStream from, PictureLimits limits) throws IOException {
    if (!from.readBoolean()) {
      Reason reason = Reason.valueOf(from.readUTF());
      return Answer.of(new UnusablePictureException(reason, from.readUTF()));
    }
    PictureFormat format = PictureFormat.valueOf(from.readUTF());
    Profile profile = Profile.valueOf(from.readUTF());
    double resolution = from.readDouble();
    return Answer.of(
        new Opened(
            picture(from, limits),
            format,
            resolution > 0 ? Optional.of(new Resolution(resolution)) : Optional.empty(),
            profile));
  }

  private static void write(DataOutputStream to, Picture picture) throws IOException {
    to.writeInt(picture.widthPixels());
    to.writeInt(picture.heightPixels());
    to.writeBoolean(picture.hasTransparency());
    ByteBuffer chunk = ByteBuffer.allocate(4 * CHUNK_PIXELS);
    for (int i = 0; i < picture.pixelCount(); i++) {
      int covered = (int) Math.round(255 * picture.coverage(i));
      chunk.putInt(covered << 24 | picture.rgb(i));
      if (!chunk.hasRemaining() || i == picture.pixelCount() - 1) {
        to.write(chunk.array(), 0, chunk.position());
        chunk.clear();
      }
    }
  }

  private static Picture picture(DataInputStream from, PictureLimits limits) throws IOException {
    int width = from.readInt();
    int height = from.readInt();
    try {
      limits.requirePixels(width, height);
    } catch (UnusablePictureException e) {
      throw new IOException("A picture beyond the limits was answered.", e);
    }
    int[] rgb = new int[width * height];
    byte @Nullable [] coverage = from.readBoolean() ? new byte[rgb.length] : null;
    byte[] chunk = new byte[4 * CHUNK_PIXELS];
    for (int done = 0; done < rgb.length; done += CHUNK_PIXELS) {
      int count = Math.min(CHUNK_PIXELS, rgb.length - done);
      from.readFully(chunk, 0, 4 * count);
      ByteBuffer pixels = ByteBuffer.wrap(chunk);
      for (int i = done; i < done + count; i++) {
        int pixel = pixels.getInt();
        rgb[i] = pixel & 0xFFFFFF;
        if (coverage != null) {
          coverage[i] = (byte) (pixel >>> 24);
        }
      }
    }
    Picture picture = Picture.of(width, height, rgb);
    return coverage == null ? picture : picture.withCoverage(coverage);
  }
}
