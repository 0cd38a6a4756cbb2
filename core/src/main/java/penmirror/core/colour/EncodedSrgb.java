package penmirror.core.colour;

import java.util.HexFormat;

/**
 * A colour as a file holds it: sRGB with its transfer curve, each channel in [0, 1]. White is D65.
 * Source: IEC 61966-2-1.
 */
public record EncodedSrgb(double red, double green, double blue) {
  private static final HexFormat HEX = HexFormat.of().withUpperCase();

  public EncodedSrgb {
    requireUnit(red);
    requireUnit(green);
    requireUnit(blue);
  }

  /** From 0xRRGGBB; higher bits are ignored. */
  public static EncodedSrgb fromRgb(int rgb) {
    return new EncodedSrgb(
        ((rgb >> 16) & 255) / 255.0, ((rgb >> 8) & 255) / 255.0, (rgb & 255) / 255.0);
  }

  /** From six hexadecimal digits, with or without a leading #. */
  public static EncodedSrgb fromHex(String hex) {
    String digits = hex.startsWith("#") ? hex.substring(1) : hex;
    if (!digits.matches("[0-9a-fA-F]{6}")) {
      throw new IllegalArgumentException(
          "A colour is written with six digits such as #F0CBA6, got " + hex);
    }
    return fromRgb(Integer.parseInt(digits, 16));
  }

  /** 0xRRGGBB, each channel rounded to 8 bits. */
  public int rgb() {
    return to8Bit(red) << 16 | to8Bit(green) << 8 | to8Bit(blue);
  }

  /** Seven characters, upper case, such as #F0CBA6, each channel rounded to 8 bits. */
  public String hex() {
    return "#"
        + HEX.toHexDigits((byte) to8Bit(red))
        + HEX.toHexDigits((byte) to8Bit(green))
        + HEX.toHexDigits((byte) to8Bit(blue));
  }

  /** One channel from encoded to linear light, both in [0, 1]. */
  public static double toLinear(double encoded) {
    return encoded <= 0.04045 ? encoded / 12.92 : Math.pow((encoded + 0.055) / 1.055, 2.4);
  }

  /** One channel from linear light to encoded, both in [0, 1]. */
  public static double fromLinear(double linear) {
    return linear <= 0.0031308 ? linear * 12.92 : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
  }

  private static int to8Bit(double channel) {
    return (int) Math.round(channel * 255);
  }

  private static void requireUnit(double channel) {
    if (!(channel >= 0 && channel <= 1)) {
      throw new IllegalArgumentException("A colour channel lies in 0 to 1, got " + channel);
    }
  }
}
