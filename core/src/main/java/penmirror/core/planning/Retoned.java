package penmirror.core.planning;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.measure.region.RoleFacts;
import penmirror.core.measure.shade.ShadeFacts;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelEvidence;

/**
 * A drawing whose shadows are laid as they are wanted. What lies on the way from a colour's light
 * to its shadow goes along, so that soft edges stay soft; the light, lines and all other colours
 * stay as they are drawn, and so does what a line's edge blends into: a rim under a pixel wide.
 */
public final class Retoned {
  /** OKLab distance from that way within which a pixel lies on it. */
  private static final double NEAR = 0.045;

  private Retoned() {}

  /**
   * A shadow and where it goes.
   *
   * @param role what it lies on
   * @param light of the same local colour; stays
   * @param from the shadow as it is laid
   * @param to as it is wanted; what sRGB cannot show is laid as strong as it can
   */
  public record Shadow(Role role, OkLab light, OkLab from, OkLab to) {
    /** How far a colour lies on the way from light to shadow, [0, 1]; 0 where it lies off it. */
    private double depthOf(OkLab colour) {
      OkLab way = minus(from, light);
      OkLab off = minus(colour, light);
      double length = dot(way, way);
      if (length == 0) {
        return 0;
      }
      double depth = Math.max(0, Math.min(1, dot(off, way) / length));
      return colour.distanceTo(along(light, way, depth)) < NEAR ? depth : 0;
    }

    private OkLab laid(OkLab colour) {
      return along(colour, minus(to, from), depthOf(colour)).shown();
    }
  }

  /**
   * @param seen the drawing with what was told of it; not modified
   * @param shadows none leave it as it is
   */
  public static Picture of(PixelEvidence seen, List<Shadow> shadows) {
    Picture picture = seen.figure().picture();
    List<List<Shadow>> ofMaterial =
        IntStream.range(0, seen.shade().materials().count())
            .mapToObj(material -> of(seen.shade(), material, shadows))
            .toList();
    int width = picture.widthPixels();
    int[] laid = new int[picture.pixelCount()];
    IntStream.range(0, picture.heightPixels())
        .parallel()
        .forEach(
            y -> {
              for (int x = 0; x < width; x++) {
                int material = seen.shade().materials().at(seen.figure().coarseIndex(x, y));
                int rgb = picture.rgb(y * width + x);
                List<Shadow> may = material < 0 ? List.of() : ofMaterial.get(material);
                if (material >= 0 && may.isEmpty()) {
                  may = ofPart(seen, x, y, shadows);
                }
                laid[y * width + x] = may.isEmpty() ? rgb : laid(may, rgb);
              }
            });
    Picture retoned = Picture.of(width, picture.heightPixels(), laid);
    return picture.hasTransparency() ? retoned.withCoverage(coverage(picture)) : retoned;
  }

  static byte[] coverage(Picture picture) {
    byte[] coverage = new byte[picture.pixelCount()];
    for (int i = 0; i < coverage.length; i++) {
      coverage[i] = (byte) Math.round(255 * picture.coverage(i));
    }
    return coverage;
  }

  private static int laid(List<Shadow> may, int rgb) {
    OkLab colour = OkLab.from(EncodedSrgb.fromRgb(rgb));
    return may.stream()
        .filter(shadow -> shadow.depthOf(colour) > 0)
        .findFirst()
        .map(shadow -> shadow.laid(colour).toEncodedSrgb().rgb())
        .orElse(rgb);
  }

  /** The shadow that lies on a local colour which shows its light too. */
  private static List<Shadow> of(ShadeFacts shade, int material, List<Shadow> shadows) {
    return shade.tones(material).stream()
        .flatMap(
            tones ->
                shadows.stream()
                    .filter(
                        shadow ->
                            tones.base().distanceTo(shadow.light) < NEAR
                                && tones
                                    .shadow()
                                    .filter(dark -> dark.distanceTo(shadow.from) < NEAR)
                                    .isPresent()))
        .toList();
  }

  /** What lies in shadow throughout, such as hair behind a face, goes by what it belongs to. */
  private static List<Shadow> ofPart(PixelEvidence seen, int x, int y, List<Shadow> shadows) {
    Optional<Role> role =
        seen.parts().flatMap(parts -> RoleFacts.roleOf(parts.at(seen.flats().index(x, y))));
    return role.map(one -> shadows.stream().filter(shadow -> isOf(shadow.role, one)).toList())
        .orElse(List.of());
  }

  /** All clothes are one part. */
  private static boolean isOf(Role role, Role part) {
    return role == part || part == Role.CLOTH && role == Role.CLOTH_TWO;
  }

  private static OkLab minus(OkLab one, OkLab other) {
    return new OkLab(one.lightness() - other.lightness(), one.a() - other.a(), one.b() - other.b());
  }

  private static OkLab along(OkLab from, OkLab way, double share) {
    return new OkLab(
        from.lightness() + share * way.lightness(),
        from.a() + share * way.a(),
        from.b() + share * way.b());
  }

  private static double dot(OkLab one, OkLab other) {
    return one.lightness() * other.lightness() + one.a() * other.a() + one.b() * other.b();
  }
}
