package penmirror.core.words;

import java.util.List;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Unit;

/**
 * Amounts as one says them at a desk: four and a fifth, two thirds, once and a half. The nearest
 * that has a word is taken; exact figures stand elsewhere.
 */
public final class Spoken {
  private record Word(double value, String text) {}

  /** Parts of a whole, from what one can tell apart by eye. */
  private static final List<Word> PARTS =
      List.of(
          new Word(0.05, "a twentieth"),
          new Word(0.0667, "a fifteenth"),
          new Word(0.1, "a tenth"),
          new Word(0.125, "an eighth"),
          new Word(0.1667, "a sixth"),
          new Word(0.2, "a fifth"),
          new Word(0.25, "a quarter"),
          new Word(0.3333, "a third"),
          new Word(0.4, "four tenths"),
          new Word(0.5, "half"),
          new Word(0.6, "six tenths"),
          new Word(0.6667, "two thirds"),
          new Word(0.7, "seven tenths"),
          new Word(0.75, "three quarters"),
          new Word(0.8, "eight tenths"),
          new Word(0.9, "nine tenths"));

  private static final List<Word> BEYOND_A_WHOLE =
      List.of(
          new Word(0, ""),
          new Word(0.2, "a fifth"),
          new Word(0.25, "a quarter"),
          new Word(0.3333, "a third"),
          new Word(0.5, "a half"),
          new Word(0.6667, "two thirds"),
          new Word(0.75, "three quarters"),
          new Word(1, ""));

  private static final List<String> NUMBERS =
      List.of(
          "no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten",
          "eleven", "twelve");

  /** Below this nobody sees that there is any. */
  private static final double NOTHING = 0.02;

  private static final double EVERYTHING = 0.97;

  /** A middle grey, at which a step of lightness is told in the picker's numbers. */
  private static final double MIDDLE = 0.7;

  /** From which chroma on a colour is called so; set by eye on the swatches of the demo. */
  private static final List<Word> STRENGTHS =
      List.of(
          new Word(0, "grey"),
          new Word(0.02, "faint"),
          new Word(0.045, "muted"),
          new Word(0.08, "clear"),
          new Word(0.13, "strong"),
          new Word(0.18, "glowing"));

  private Spoken() {}

  /** A value of a measure, in the way its unit is spoken of. */
  public static String value(Measure measure, double value) {
    Unit unit = measure.unit();
    return switch (unit) {
      case HEADS, CHEEK_WIDTHS, EYE_WIDTHS, EYE_HEIGHTS, EYE_DISTANCES ->
          value < 1 ? part(value) : mixed(value);
      case OF_THE_HEAD, OF_THE_HEIGHT, OF_THE_WIDTH, SHARE -> part(value);
      case RATIO -> times(value);
      case HEAD_THOUSANDTHS, FIGURE_THOUSANDTHS -> thin(value);
      case LIGHTNESS -> Wording.number(measure.isStep() ? pickerStep(value) : brightness(value), 0);
      case CHROMA -> strength(value);
      case LEVELS, LIGHTS, COLOURS, PLACES, EQUAL_COLOURS -> count(value);
      case DEGREES -> Wording.number(value, 0) + "°";
      default -> Wording.number(unit, value);
    };
  }

  /** A share or a part of a length, from none to all of it. */
  public static String part(double share) {
    if (share < NOTHING) {
      return "none";
    }
    if (share > EVERYTHING) {
      return share > 1.03 ? mixed(share) : "all";
    }
    return nearest(PARTS, share);
  }

  /** A number of heads or eyes: four and a fifth; one and no more where it is nearly whole. */
  public static String mixed(double value) {
    double whole = Math.floor(value);
    String rest = nearest(BEYOND_A_WHOLE, value - whole);
    if (value - whole > 0.875) {
      whole++;
    }
    String words = count(whole);
    return rest.isEmpty() ? words : words + " and " + rest;
  }

  /** A length in heads: half a head, a third of a head, two and a half heads. */
  public static String heads(double value) {
    String words = value < 1 ? part(value) : mixed(value);
    return switch (words) {
      case "half" -> "half a head";
      case "all", "one" -> "one head";
      default -> words + (value < 1 ? " of a head" : " heads");
    };
  }

  /** How many times as much: once and a half, twice, half. */
  public static String times(double factor) {
    if (factor < 0.96) {
      return part(factor);
    }
    double whole = Math.floor(factor);
    double rest = factor - whole;
    String more = nearest(BEYOND_A_WHOLE, rest);
    if (rest > 0.875) {
      whole++;
    }
    String times = whole == 1 ? "once" : whole == 2 ? "twice" : count(whole) + " times";
    return more.isEmpty() ? times : times + " and " + more;
  }

  /** A whole number in words up to twelve; it is rounded. */
  public static String count(double value) {
    long whole = Math.round(value);
    return whole >= 0 && whole < NUMBERS.size() ? NUMBERS.get((int) whole) : Long.toString(whole);
  }

  /** A thousandth part of a length, as one of so many: a fiftieth. */
  private static String thin(double thousandths) {
    double parts = 1000 / thousandths;
    long rounded = parts < 20 ? Math.round(parts) : 5 * Math.round(parts / 5);
    String ordinal = ordinal(Math.max(2, rounded));
    boolean vowel = ordinal.startsWith("8") || ordinal.equals("11th") || ordinal.equals("18th");
    return (vowel ? "an " : "a ") + ordinal;
  }

  private static String ordinal(long number) {
    if (number == 2) {
      return "half";
    }
    long tail = number % 100;
    String ending =
        tail >= 11 && tail <= 13
            ? "th"
            : switch ((int) (number % 10)) {
              case 1 -> "st";
              case 2 -> "nd";
              case 3 -> "rd";
              default -> "th";
            };
    return number + ending;
  }

  /** How strong a colour is, by its chroma. */
  public static String strength(double chroma) {
    String word = STRENGTHS.get(0).text();
    for (Word strength : STRENGTHS) {
      if (chroma >= strength.value()) {
        word = strength.text();
      }
    }
    return word;
  }

  /** The picker's brightness of a grey, 0 to 100. */
  public static double brightness(double lightness) {
    double held = Math.max(0, Math.min(1, lightness));
    return 100 * new OkLab(held, 0, 0).toEncodedSrgb().red();
  }

  /** How far a step of lightness goes in the picker's brightness, from a middle grey; unsigned. */
  public static double pickerStep(double lightnessStep) {
    return Math.abs(brightness(MIDDLE) - brightness(MIDDLE - Math.abs(lightnessStep)));
  }

  private static String nearest(List<Word> words, double value) {
    Word best = words.get(0);
    for (Word word : words) {
      if (Math.abs(word.value() - value) < Math.abs(best.value() - value)) {
        best = word;
      }
    }
    return best.text();
  }

  /** A sentence as it stands within another: its first letter small. */
  public static String within(String sentence) {
    boolean isName = sentence.length() > 1 && Character.isUpperCase(sentence.charAt(1));
    return sentence.isEmpty() || isName
        ? sentence
        : Character.toLowerCase(sentence.charAt(0)) + sentence.substring(1);
  }

  /** The first letter large. */
  public static String sentence(String text) {
    return text.isEmpty() ? text : Character.toUpperCase(text.charAt(0)) + text.substring(1);
  }
}
