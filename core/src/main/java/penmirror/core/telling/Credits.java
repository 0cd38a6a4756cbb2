package penmirror.core.telling;

import java.util.ArrayList;
import java.util.List;
import penmirror.core.drawing.Lettering;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.core.words.Wording;

/** Whom to credit for the works behind a sheet, as it stands under whatever is printed of it. */
public final class Credits {
  private static final int MOST_ROWS = 4;

  private Credits() {}

  /** Each credit once; empty where no work carries one. */
  private static String named(StyleSheet sheet) {
    return String.join(
        "; ",
        sheet.works().stream()
            .map(MeasuredWork::credit)
            .filter(credit -> !credit.isBlank())
            .distinct()
            .toList());
  }

  /** For the description of a file. */
  public static String described(StyleSheet sheet) {
    String credits = named(sheet);
    String caution = Wording.text("file.caution");
    return caution + (credits.isEmpty() ? "" : "\n" + credits);
  }

  /** Rows for the foot of a page: credits, what carries none, and the caution. */
  public static List<String> rows(StyleSheet sheet, double sizePixels, double widthPixels) {
    List<String> rows = new ArrayList<>(Lettering.lines(named(sheet), sizePixels, widthPixels));
    if (!sheet.uncredited().isEmpty()) {
      rows.add(Wording.text("file.uncredited", String.join("; ", sheet.uncredited())));
    }
    rows.addAll(Lettering.lines(Wording.text("file.caution"), sizePixels, widthPixels));
    return List.copyOf(rows.subList(0, Math.min(MOST_ROWS, rows.size())));
  }
}
