package penmirror.web.layout;

/** Texts as people type them, cut to what is kept of them. */
public final class Texts {
  private Texts() {}

  /** Without blanks around it, and no longer than so many characters; an emoji is one. */
  public static String cut(String text, int most) {
    String plain = text.strip();
    return plain.codePointCount(0, plain.length()) <= most
        ? plain
        : plain.substring(0, plain.offsetByCodePoints(0, most)).strip();
  }
}
