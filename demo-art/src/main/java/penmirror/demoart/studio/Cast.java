package penmirror.demoart.studio;

import penmirror.demoart.figure.Subject;
import penmirror.demoart.figure.Subject.Garment;
import penmirror.demoart.figure.Subject.Hair;
import penmirror.demoart.figure.Subject.Hat;
import penmirror.demoart.figure.Subject.Prop;
import penmirror.demoart.manner.Palette;

/** The people of the floating market, all invented, each in the colours of who draws them. */
final class Cast {
  /** Few warm colours, a scarf held out as accent. */
  private static final Palette WARM =
      Palette.of(
          "paper F5EDDC ink 241F20 skin F0CBA6 hair 4D4566 coat 7C8450 shirt F2E7D0 scarf E3A93F"
              + " legs 5D5A63 shoes 4A382F hat F6EEDD wood 8A5E36 metal B98A3C glow F8DC86"
              + " eye FFFDF8 iris 5B7480 mouth 8A3B36 blush E58F6C");

  /** Greyed blues round solid blacks. */
  private static final Palette COLD =
      Palette.of(
          "paper E9EBEC ink 1B1E22 skin E6E4DF hair 22262B coat 20242A shirt E6EAEC scarf 7E93A3"
              + " legs 2A3038 shoes 1E2126 hat 93A3AF wood 8795A0 metal A9B4BC glow D5DEE3"
              + " eye F7F8F8 iris 55697A mouth 2A2C30 blush B9B4AC");

  /** Gold, peach and leaf green late in the day. */
  private static final Palette GOLDEN =
      Palette.of(
          "paper FBF1DC ink 6B3A22 skin F5CDA0 hair C9803A coat D98E6A shirt F6E4BE scarf E8B84A"
              + " legs E9C08F shoes 8A5230 hat E6C168 wood B8823F metal C99A3E glow FFE39A"
              + " eye FFFBF0 iris 6E9A58 mouth C65B4A blush E8825C");

  /** The cartoonist's own box of colours. */
  private static final Palette OWN =
      Palette.of(
          "paper EFE9E2 ink 2B2526 skin EDC09A hair 8A5A35 coat 8E93A6 shirt F4EEE0 scarf B98A3C"
              + " legs 5B5148 shoes 7B5236 hat F6EEDD wood B08A5A metal B98A3C glow C58238"
              + " eye FFFDF8 iris 5F7C8C mouth A5524A blush E07F5C");

  static final Subject PELL =
      new Subject(
          "Pell, lamp keeper",
          Hair.BOB,
          Garment.COAT,
          Hat.NONE,
          false,
          true,
          true,
          Prop.LANTERN,
          WARM);

  static final Subject TAM =
      new Subject(
          "Tam of the night ferry",
          Hair.SHORT,
          Garment.JUMPER,
          Hat.CAP,
          false,
          false,
          true,
          Prop.POLE,
          WARM.with("hair A4552F coat 5B7480 shirt E7D9BC hat 6B4A3A scarf D9CDB4 legs 6A5A4A"));

  static final Subject ROSALBA =
      new Subject(
          "Rosalba, who bakes",
          Hair.UP,
          Garment.APRON,
          Hat.NONE,
          false,
          false,
          false,
          Prop.BREAD,
          WARM.with("hair 7A4A34 coat A8573F scarf E3A93F legs 4F4A55 glow D9A050"));

  static final Subject HASK =
      new Subject(
          "Hask, tally clerk",
          Hair.SHORT,
          Garment.LONG_COAT,
          Hat.NONE,
          false,
          false,
          false,
          Prop.BOOK,
          COLD);

  static final Subject BRANN =
      new Subject(
          "Brann, pole man",
          Hair.CURLS,
          Garment.JUMPER,
          Hat.NONE,
          false,
          false,
          true,
          Prop.POLE,
          COLD.with("coat 8698A6 shirt 5C6E7D hair 2A2D31 legs 262B31"));

  static final Subject SILL =
      new Subject(
          "The widow Sill",
          Hair.UP,
          Garment.DRESS,
          Hat.NONE,
          false,
          false,
          false,
          Prop.LANTERN,
          COLD.with("coat 1F2329 scarf 9DB0BE hair 25282D glow EEF2F4"));

  static final Subject ORLA =
      new Subject(
          "Orla with the windfalls",
          Hair.LONG,
          Garment.DRESS,
          Hat.NONE,
          false,
          false,
          false,
          Prop.BASKET,
          GOLDEN);

  static final Subject FEN =
      new Subject(
          "Fen, ferry hand",
          Hair.CURLS,
          Garment.COAT,
          Hat.NONE,
          false,
          false,
          true,
          Prop.LANTERN,
          GOLDEN.with("hair 8A5428 coat 9AA55E scarf E0A64A legs A87C52 skin EBBB8A"));

  static final Subject SANNA =
      new Subject(
          "Sanna, evening baker",
          Hair.BOB,
          Garment.APRON,
          Hat.NONE,
          false,
          false,
          false,
          Prop.BREAD,
          GOLDEN.with("hair E3B25A coat C9765E legs B98F68 glow E8B25C"));

  static final Subject BASTIAN =
      new Subject(
          "Bastian Crumb, night baker",
          Hair.FRINGE,
          Garment.APRON,
          Hat.BAKER,
          true,
          true,
          false,
          Prop.BREAD,
          OWN);

  static final Subject WICK =
      new Subject(
          "Wick, errand boy",
          Hair.CURLS,
          Garment.JUMPER,
          Hat.NONE,
          false,
          true,
          true,
          Prop.BOOK,
          OWN.with("coat A8705A hair 5A4034 scarf 6F8A7A shirt E8D2A8 hat 7A5F8A"));

  static final Subject MAGS =
      new Subject(
          "Mags Tallow, candles",
          Hair.BOB,
          Garment.DRESS,
          Hat.NONE,
          false,
          false,
          false,
          Prop.LANTERN,
          OWN.with("coat 7E9A92 hair 3F3A4A scarf E0B45A legs D9B08E glow F6DF94"));

  private Cast() {}

  /** Bastian in another hand's colours: each role moved into that palette. */
  static Subject bastianAfter(Subject model) {
    return BASTIAN.wearing(
        model == PELL
            ? WARM.with("coat 7F8094 scarf C98F36 hair 8A5630 legs 57504A shoes 6E4A33 glow C58238")
            : model == HASK
                ? COLD.with("coat 7C8D9B shirt EEF1F2 hair 2A2D31 hat F1F3F4 legs 262B31")
                : GOLDEN.with(
                    "coat A7A486 shirt FBEFD2 hair A5662F legs A87C52 hat FFF3D6 glow D99A4A"));
  }
}
