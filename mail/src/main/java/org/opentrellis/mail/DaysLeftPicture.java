package org.opentrellis.mail;

import java.awt.Color;
import java.awt.Font;
import java.awt.FontMetrics;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.opentrellis.core.message.Palette;

/** Draws how many days are left. */
public final class DaysLeftPicture {
  private static final int WIDTH = 552;
  private static final int HEIGHT = 176;

  private DaysLeftPicture() {}

  /**
   * @param hours until then; nothing is left below 1
   * @return as PNG, twice as large as it is shown
   */
  public static byte[] of(long hours, Palette colours) {
    BufferedImage drawn = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = drawn.createGraphics();
    pen.setRenderingHint(
        RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
    pen.setColor(Color.decode(colours.button().value()));
    pen.fillRect(0, 0, WIDTH, HEIGHT);
    pen.setColor(Color.decode(colours.buttonInk().value()));
    middle(pen, number(hours), 92, 92);
    middle(pen, unit(hours), 36, 146);
    pen.dispose();
    try {
      return PlayMark.png(drawn);
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
  }

  private static String number(long hours) {
    return hours < 1 ? "0" : Long.toString(hours < 48 ? hours : hours / 24);
  }

  private static String unit(long hours) {
    if (hours < 1) {
      return "it is over";
    }
    return hours == 1 ? "hour left" : hours < 48 ? "hours left" : "days left";
  }

  private static void middle(Graphics2D pen, String text, int size, int y) {
    pen.setFont(new Font(Font.SANS_SERIF, Font.BOLD, size));
    FontMetrics metrics = pen.getFontMetrics();
    pen.drawString(text, (WIDTH - metrics.stringWidth(text)) / 2, y);
  }
}
