package penmirror.demoart.studio;

import java.util.Map;
import penmirror.demoart.manner.Habits;
import penmirror.demoart.manner.Hatching;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Shading;

/** The four drawing hands of the demo studio. A tilde marks how far a value strays. */
public final class Hands {
  /** Small and top-heavy, low-set eyes, a heavy closed outline, one hard shadow. */
  public static final Manner ODILE =
      Manner.of(
          "Odile Marrow",
          Shading.TONE,
          Hatching.NONE,
          new Habits(Habits.Nose.WEDGE, false, true, false, Habits.Eyes.DISC, 2),
          """
          stature 4.2 ~0.09 legs 0.375 ~0.008 shoulders 1.16 ~0.04 waist 0.98 ~0.05
          hips 1.06 ~0.05 neck 0.36 ~0.02 neck-length 0.13 ~0.015 arm 0.43 ~0.01
          hand 0.5 ~0.02 foot 0.62 ~0.03 limb 0.155 ~0.006
          head-aspect 0.94 ~0.02 jaw 0.8 ~0.02 jaw-line 0.83 ~0.01 chin 0.34 ~0.03
          angular 0 hair-lift 0.12 ~0.02 hair-side 0.09 ~0.012
          eye-line 0.61 ~0.006 eye-width 0.205 ~0.007 eye-aspect 1.18 ~0.05 eye-spacing 1.12 ~0.05
          eye-tilt 2 ~1 iris 0.6 ~0.03 pupil 1 brow-gap 0.06 ~0.01 brow-slope 2 ~2
          brow-weight 0.05 ~0.004 nose-base 0.77 ~0.006 nose-length 0.17 ~0.015
          mouth-line 0.865 ~0.006 mouth-width 0.86 ~0.06 hairline 0.27 ~0.02
          ear-top 0.5 ~0.015 ear-base 0.75 ~0.015
          line-width 13 ~0.6 outline 2.5 ~0.08 lash 2.6 ~0.2 taper 0.85 ~0.04 swell 0.5 ~0.05
          wobble 0.04 stroke-length 12 closed 1 line-lightness 0.25 ~0.01 line-tint 0
          black 0 hatch-pitch 0 hatch-angle 0
          shade-reach 0.42 ~0.03 shade-step -0.13 ~0.006 shade-chroma 1.06 ~0.03 shade-turn 6 ~2
          shade-edge 0 shade-rim 1 light-reach 0 light-angle 48 ~4
          eye-lights 2 eye-light-size 0.26 iris-glow 0 iris-ring 0.12
          turn 31 far-eye 1
          """);

  /** Lean, small high eyes, a long jaw, a thin broken line, solid blacks and cross hatching. */
  public static final Manner CASIMIR =
      Manner.of(
          "Casimir Thole",
          Shading.INK,
          Hatching.CROSS,
          new Habits(Habits.Nose.BLADE, false, false, true, Habits.Eyes.DISC, 3),
          """
          stature 8.6 ~0.16 legs 0.51 ~0.006 shoulders 1.86 ~0.06 waist 1.02 ~0.05
          hips 1.1 ~0.05 neck 0.5 ~0.03 neck-length 0.34 ~0.02 arm 0.445 ~0.008
          hand 0.8 ~0.025 foot 1.0 ~0.04 limb 0.15 ~0.006
          head-aspect 0.62 ~0.012 jaw 0.8 ~0.025 jaw-line 0.8 ~0.01 chin 0.36 ~0.03
          angular 1 hair-lift 0.09 ~0.015 hair-side 0.035 ~0.008
          eye-line 0.42 ~0.006 eye-width 0.19 ~0.006 eye-aspect 0.36 ~0.03 eye-spacing 1.4 ~0.06
          eye-tilt 3 ~1.2 iris 0.95 ~0.05 pupil 1 brow-gap 0.04 ~0.008 brow-slope 9 ~2
          brow-weight 0.036 ~0.003 nose-base 0.66 ~0.006 nose-length 0.29 ~0.015
          mouth-line 0.765 ~0.006 mouth-width 0.8 ~0.05 hairline 0.17 ~0.012
          ear-top 0.4 ~0.012 ear-base 0.62 ~0.012
          line-width 12 ~0.6 outline 1.1 ~0.05 lash 2.2 ~0.2 taper 0.9 ~0.03 swell 0.3 ~0.05
          wobble 0.12 stroke-length 0.7 ~0.06 closed 0.8 ~0.02 line-lightness 0.2 ~0.01 line-tint 0
          black 0.45 hatch-pitch 34 ~2 hatch-angle -48 ~3
          shade-reach 0.42 ~0.03 shade-step -0.3 ~0.01 shade-chroma 0.6 ~0.03 shade-turn 4
          shade-edge 0 shade-rim 1 light-reach 0 light-angle 62 ~5
          eye-lights 1 eye-light-size 0.26 iris-glow 0 iris-ring 0.12
          turn 31 far-eye 1
          """);

  /** Big tilted eyes, a thin coloured line, soft shading with a saturated border, side light. */
  public static final Manner INES =
      Manner.of(
          "Ines Vantour",
          Shading.TONE,
          Hatching.NONE,
          new Habits(Habits.Nose.HINT, true, true, false, Habits.Eyes.RINGED, 2),
          """
          stature 6.4 ~0.12 legs 0.48 ~0.007 shoulders 1.36 ~0.04 waist 0.82 ~0.04
          hips 1.16 ~0.05 neck 0.36 ~0.02 neck-length 0.27 ~0.015 arm 0.43 ~0.008
          hand 0.6 ~0.02 foot 0.74 ~0.03 limb 0.135 ~0.005
          head-aspect 0.74 ~0.014 jaw 0.76 ~0.02 jaw-line 0.82 ~0.01 chin 0.22 ~0.02
          angular 0 hair-lift 0.11 ~0.02 hair-side 0.07 ~0.012
          eye-line 0.55 ~0.006 eye-width 0.275 ~0.008 eye-aspect 0.66 ~0.03 eye-spacing 1.0 ~0.04
          eye-tilt 10 ~1.2 iris 1.02 ~0.03 pupil 0.5 ~0.03 brow-gap 0.07 ~0.008 brow-slope -2 ~2
          brow-weight 0.022 ~0.002 nose-base 0.725 ~0.006 nose-length 0.16 ~0.012
          mouth-line 0.825 ~0.006 mouth-width 0.6 ~0.04 hairline 0.2 ~0.014
          ear-top 0.47 ~0.012 ear-base 0.68 ~0.012
          line-width 9 ~0.4 outline 1.0 ~0.04 lash 3.4 ~0.2 taper 0.8 ~0.04 swell 0.2 ~0.04
          wobble 0.05 stroke-length 12 closed 1 line-lightness 0.36 ~0.015 line-tint 0.9 ~0.02
          black 0 hatch-pitch 0 hatch-angle 0
          shade-reach 0.62 ~0.04 shade-step -0.15 ~0.008 shade-chroma 1.0 ~0.03 shade-turn 24 ~3
          shade-edge 105 ~8 shade-rim 1.45 ~0.06 light-reach 0.2 ~0.02 light-angle 82 ~5
          eye-lights 1 eye-light-size 0.3 iris-glow 0.7 iris-ring 0.12
          turn 31 far-eye 1
          """);

  /** Her second manner: the same figure under a heavy line and flat shadows. */
  public static final Manner INES_INKED =
      INES.with(
          "Ines Vantour, inked",
          Map.of(
              Parameter.LINE_WIDTH, 19.0,
              Parameter.OUTLINE, 1.9,
              Parameter.LINE_TINT, 0.35,
              Parameter.LINE_LIGHTNESS, 0.27,
              Parameter.SWELL, 0.7,
              Parameter.LASH, 2.2,
              Parameter.SHADE_EDGE, 0.0,
              Parameter.SHADE_RIM, 1.0,
              Parameter.LIGHT_REACH, 0.0));

  /** The cartoonist's own hand: round faces, small jaws, big eyes, a thin line, soft shading. */
  public static final Manner OWN =
      Manner.of(
          "Own hand",
          Shading.TONE,
          Hatching.NONE,
          new Habits(Habits.Nose.BUTTON, false, true, false, Habits.Eyes.RINGED, 1),
          """
          stature 6.1 ~0.16 legs 0.46 ~0.012 shoulders 1.3 ~0.06 waist 0.92 ~0.06
          hips 1.08 ~0.06 neck 0.36 ~0.03 neck-length 0.22 ~0.02 arm 0.425 ~0.012
          hand 0.5 ~0.03 foot 0.68 ~0.04 limb 0.14 ~0.008
          head-aspect 0.84 ~0.02 jaw 0.7 ~0.03 jaw-line 0.85 ~0.015 chin 0.26 ~0.03
          angular 0 hair-lift 0.09 ~0.02 hair-side 0.07 ~0.015
          eye-line 0.52 ~0.012 eye-width 0.25 ~0.012 eye-aspect 0.95 ~0.05 eye-spacing 0.98 ~0.05
          eye-tilt 0 ~1.5 iris 0.82 ~0.04 pupil 0.55 ~0.04 brow-gap 0.08 ~0.012 brow-slope 0 ~3
          brow-weight 0.026 ~0.004 nose-base 0.72 ~0.012 nose-length 0.14 ~0.02
          mouth-line 0.83 ~0.012 mouth-width 0.66 ~0.06 hairline 0.22 ~0.02
          ear-top 0.46 ~0.02 ear-base 0.69 ~0.02
          line-width 8 ~0.7 outline 1.4 ~0.1 lash 2.6 ~0.3 taper 0.6 ~0.06 swell 0.3 ~0.06
          wobble 0.2 ~0.03 stroke-length 12 closed 1 line-lightness 0.3 ~0.02 line-tint 0.25 ~0.05
          black 0 hatch-pitch 0 hatch-angle 0
          shade-reach 0.4 ~0.05 shade-step -0.09 ~0.01 shade-chroma 1.05 ~0.04 shade-turn 10 ~4
          shade-edge 45 ~6 shade-rim 1 light-reach 0 light-angle 40 ~8
          eye-lights 1 eye-light-size 0.22 iris-glow 0.2 iris-ring 0.08
          turn 31 far-eye 1
          """);

  private Hands() {}
}
