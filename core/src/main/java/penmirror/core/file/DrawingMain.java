package penmirror.core.file;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;

/** What runs in the {@link DrawingProcess}: answers one file after another until its input ends. */
public final class DrawingMain {
  private DrawingMain() {}

  public static void main(String[] arguments) throws IOException {
    DataInputStream from = new DataInputStream(new BufferedInputStream(System.in, 1 << 16));
    DataOutputStream to = new DataOutputStream(new BufferedOutputStream(System.out, 1 << 16));
    // What a library prints may not come between the answers.
    System.setOut(System.err);
    to.writeByte(0);
    to.flush();
    while (true) {
      DrawingWire.Asked asked;
      try {
        asked = DrawingWire.asked(from);
      } catch (EOFException e) {
        return; // The program that asked has ended.
      }
      DrawingWire.Answer answer = answer(asked);
      DrawingWire.answer(to, answer);
    }
  }

  private static DrawingWire.Answer answer(DrawingWire.Asked asked) {
    try {
      return DrawingWire.Answer.of(ApartFile.open(asked.bytes(), asked.limits()));
    } catch (UnusablePictureException e) {
      return DrawingWire.Answer.of(e);
    } catch (OutOfMemoryError e) {
      return DrawingWire.Answer.of(
          DrawingProcess.tooCostly("needs more memory than drawing it has"));
    } catch (StackOverflowError e) {
      return DrawingWire.Answer.of(DrawingProcess.tooCostly("is nested too deeply"));
    } catch (RuntimeException | LinkageError e) {
      return DrawingWire.Answer.of(
          isOutOfEdges(e)
              ? DrawingProcess.tooCostly("holds more edges than can be held to draw")
              : ApartFile.undrawable());
    }
  }

  /** On a quick machine lists of edges are full before the time for drawing is over. */
  private static boolean isOutOfEdges(Throwable e) {
    return e instanceof ArrayIndexOutOfBoundsException
        && e.getStackTrace().length > 0
        && e.getStackTrace()[0].getClassName().startsWith("sun.java2d.marlin.");
  }
}
