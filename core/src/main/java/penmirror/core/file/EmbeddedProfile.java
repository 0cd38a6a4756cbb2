package penmirror.core.file;

import java.awt.color.CMMException;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;

/**
 * The ICC colour profile inside a file, as the formats' specifications lay it out: PNG iCCP, JPEG
 * APP2, WebP ICCP, TIFF tag 34675.
 */
final class EmbeddedProfile {
  /** No real profile is larger; a PNG could unpack to anything. */
  private static final int LARGEST = 16 * 1024 * 1024;

  private static final int TIFF_PROFILE_TAG = 34675;

  private static final byte[] JPEG_NAME = "ICC_PROFILE\0".getBytes(StandardCharsets.US_ASCII);

  private EmbeddedProfile() {}

  /** The profile's bytes, sound or not; empty if the file has none. */
  static Optional<byte[]> find(byte[] file, PictureFormat format) {
    try {
      return switch (format) {
        case PNG -> inPng(file);
        case JPEG -> inJpeg(file);
        case WEBP -> inWebp(file);
        case TIFF -> inTiff(file);
        default -> Optional.empty();
      };
    } catch (IndexOutOfBoundsException | BufferUnderflowException e) {
      // Lengths that lead out of the file: the decoder will say what is wrong with it.
      return Optional.empty();
    }
  }

  /** Empty if the profile is broken, or not one for RGB. */
  static Optional<ICC_ColorSpace> colourSpace(byte[] profile) {
    try {
      ICC_ColorSpace space = new ICC_ColorSpace(ICC_Profile.getInstance(profile));
      if (space.getNumComponents() != 3) {
        return Optional.empty();
      }
      space.toRGB(new float[] {0.4f, 0.5f, 0.6f}); // Some are only found broken when used.
      return Optional.of(space);
    } catch (IllegalArgumentException | CMMException e) {
      return Optional.empty();
    }
  }

  private static Optional<byte[]> inPng(byte[] file) {
    ByteBuffer png = ByteBuffer.wrap(file);
    int at = 8;
    while (at + 12 <= file.length) {
      int length = png.getInt(at);
      String type = new String(file, at + 4, 4, StandardCharsets.US_ASCII);
      if (type.equals("iCCP")) {
        int name = at + 8;
        int end = name;
        while (file[end] != 0) {
          end++;
        }
        // One byte after the name tells the compression; only deflate exists.
        return Optional.of(unpacked(Arrays.copyOfRange(file, end + 2, at + 8 + length)));
      }
      if (type.equals("IDAT") || length < 0) {
        return Optional.empty();
      }
      at += 12 + length;
    }
    return Optional.empty();
  }

  private static byte[] unpacked(byte[] packed) {
    Inflater inflater = new Inflater();
    inflater.setInput(packed);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    byte[] buffer = new byte[8192];
    try {
      while (!inflater.finished() && out.size() < LARGEST) {
        int count = inflater.inflate(buffer);
        if (count == 0) {
          break;
        }
        out.write(buffer, 0, count);
      }
    } catch (DataFormatException e) {
      return new byte[0]; // Present, and broken.
    } finally {
      inflater.end();
    }
    return out.toByteArray();
  }

  /** A profile may be spread over several segments, numbered from 1. */
  private static Optional<byte[]> inJpeg(byte[] file) {
    ByteArrayOutputStream profile = new ByteArrayOutputStream();
    int at = 2;
    while (at + 4 < file.length && (file[at] & 255) == 0xFF) {
      int marker = file[at + 1] & 255;
      if (marker == 0xDA || marker == 0xD9) {
        break;
      }
      int length = (file[at + 2] & 255) << 8 | file[at + 3] & 255;
      int name = at + 4;
      if (marker == 0xE2
          && Arrays.equals(
              file,
              name,
              Math.min(file.length, name + JPEG_NAME.length),
              JPEG_NAME,
              0,
              JPEG_NAME.length)) {
        int start = name + JPEG_NAME.length + 2;
        profile.write(file, start, at + 2 + length - start);
      }
      at += 2 + length;
    }
    return profile.size() == 0 ? Optional.empty() : Optional.of(profile.toByteArray());
  }

  private static Optional<byte[]> inWebp(byte[] file) {
    ByteBuffer riff = ByteBuffer.wrap(file).order(ByteOrder.LITTLE_ENDIAN);
    int at = 12;
    while (at + 8 <= file.length) {
      int length = riff.getInt(at + 4);
      if (length < 0) {
        return Optional.empty();
      }
      if (new String(file, at, 4, StandardCharsets.US_ASCII).equals("ICCP")) {
        return Optional.of(Arrays.copyOfRange(file, at + 8, at + 8 + length));
      }
      at += 8 + length + (length & 1);
    }
    return Optional.empty();
  }

  /** Among the tags of the first picture in the file. */
  private static Optional<byte[]> inTiff(byte[] file) {
    ByteBuffer tiff =
        ByteBuffer.wrap(file)
            .order(file[0] == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
    int directory = tiff.getInt(4);
    int tags = tiff.getShort(directory) & 0xFFFF;
    for (int i = 0; i < tags; i++) {
      int tag = directory + 2 + 12 * i;
      if ((tiff.getShort(tag) & 0xFFFF) == TIFF_PROFILE_TAG) {
        int length = tiff.getInt(tag + 4);
        int at = tiff.getInt(tag + 8);
        return length < 0 || length > LARGEST
            ? Optional.of(new byte[0])
            : Optional.of(Arrays.copyOfRange(file, at, at + length));
      }
    }
    return Optional.empty();
  }
}
