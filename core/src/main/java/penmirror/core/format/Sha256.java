package penmirror.core.format;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** The hash by which pictures, readings and forms are found again. Lower-case hex, 64 digits. */
public final class Sha256 {
  private Sha256() {}

  public static String of(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Every Java has SHA-256", e);
    }
  }

  /** Of a text's UTF-8 bytes. */
  public static String of(String text) {
    return of(text.getBytes(StandardCharsets.UTF_8));
  }
}
