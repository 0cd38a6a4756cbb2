package penmirror.demoart;

/** What brows, eyes and mouth say. */
enum Mood {
  KEEN,
  GLAD,
  CROSS,
  STARTLED
}
