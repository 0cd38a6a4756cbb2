package penmirror.core.words;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.ResourceBundle;
import penmirror.core.figure.Landmark;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Reading;
import penmirror.core.measure.Unit;
import penmirror.core.measure.proportion.FreePair;

/** The words in which measures are spoken of. Texts stand in {@code wording.properties}. */
public final class Wording {
  private static final ResourceBundle TEXTS =
      ResourceBundle.getBundle("penmirror.core.wording", Locale.ENGLISH);

  /** Stands where a text says how much. */
  private static final String GAP = "\u0000";

  private Wording() {}

  public static String name(Measure measure) {
    return FreePair.of(measure)
        .map(pair -> text("measure.pair.name", Spoken.sentence(part(pair)), whole(pair)))
        .orElseGet(() -> TEXTS.getString("measure." + measure.key() + ".name"));
  }

  /** The distance that a ratio of the user's own is of, such as "crown to chin". */
  public static String part(FreePair pair) {
    return distance(pair.from(), pair.to());
  }

  /** The distance that it is held against. */
  public static String whole(FreePair pair) {
    return distance(pair.byFrom(), pair.byTo());
  }

  private static String distance(Landmark from, Landmark to) {
    return text("measure.pair.distance", point(from), point(to));
  }

  /** A landmark within a sentence. */
  private static String point(Landmark landmark) {
    return TEXTS
        .getString("landmark." + landmark.key())
        .replace(",", "")
        .toLowerCase(Locale.ENGLISH);
  }

  /** A reading off to one side; {0} of the text is how much. */
  public static String side(Measure measure, boolean high, String howMuch) {
    String side = high ? ".high" : ".low";
    return FreePair.of(measure)
        .map(pair -> text("measure.pair" + side, howMuch, part(pair)))
        .orElseGet(() -> text("measure." + measure.key() + side, howMuch));
  }

  /** A reading farther to one side than another, such as "eyes lower". */
  public static String more(Measure measure, boolean high) {
    String[] around = side(measure, high, GAP).split(GAP, 2);
    String before = around[0].strip();
    String[] words = around[1].strip().split(" ", 2);
    String after = words.length > 1 ? " " + words[1] : "";
    String key = "more." + words[0];
    String told = has(key) ? before + " " + text(key) : text("more", before, words[0]);
    return (told + after).strip();
  }

  /** How a reading off its rule looks, such as "eyes too high". {@code z} in tolerances, signed. */
  public static String miss(Measure measure, double z) {
    return side(measure, z >= 0, howMuch(z));
  }

  /** How much a reading is off, such as "a little too". {@code z} in tolerances. */
  public static String howMuch(double z) {
    double size = Math.abs(z);
    return text(size > 3 ? "how.much.far" : size > 1.5 ? "how.much.too" : "how.much.little");
  }

  /** The unit as it follows a number on a page. */
  public static String unit(Unit unit) {
    return TEXTS.getString("unit." + unit.word());
  }

  /** The value with the decimals of its unit, a true minus, and no thousands separator. */
  public static String number(Unit unit, double value) {
    return number(value, unit.decimals());
  }

  /** A reading's error with one decimal more than its value; empty where it is not known. */
  public static String error(Reading reading) {
    OptionalDouble error = reading.standardError();
    return error.isPresent()
        ? number(error.getAsDouble(), reading.measure().unit().decimals() + 1)
        : "";
  }

  public static String number(double value, int decimals) {
    String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
    boolean zero = text.chars().noneMatch(c -> c >= '1' && c <= '9');
    return zero ? text.replace("-", "") : text.replace('-', '\u2212');
  }

  /** A text with its places filled; numbers must be formatted already. */
  public static String text(String key, Object... arguments) {
    return new MessageFormat(TEXTS.getString(key), Locale.ENGLISH).format(arguments);
  }

  public static boolean has(String key) {
    return TEXTS.containsKey(key);
  }
}
