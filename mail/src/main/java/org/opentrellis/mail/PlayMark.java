package org.opentrellis.mail;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** Draws a mark on a picture that says: this is a film. */
public final class PlayMark {
  private PlayMark() {}

  /**
   * @param picture as PNG or JPEG
   * @return as PNG
   */
  public static byte[] on(byte[] picture) {
    try {
      BufferedImage given = ImageIO.read(new ByteArrayInputStream(picture));
      BufferedImage drawn =
          new BufferedImage(given.getWidth(), given.getHeight(), BufferedImage.TYPE_INT_RGB);
      Graphics2D pen = drawn.createGraphics();
      pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
      pen.drawImage(given, 0, 0, Color.WHITE, null);
      double size = Math.min(given.getWidth(), given.getHeight()) * 0.28;
      double x = given.getWidth() / 2.0;
      double y = given.getHeight() / 2.0;
      pen.setColor(new Color(16, 24, 20, 190));
      pen.fill(new Ellipse2D.Double(x - size / 2, y - size / 2, size, size));
      Path2D mark = new Path2D.Double();
      mark.moveTo(x - size * 0.14, y - size * 0.22);
      mark.lineTo(x - size * 0.14, y + size * 0.22);
      mark.lineTo(x + size * 0.24, y);
      mark.closePath();
      pen.setColor(Color.WHITE);
      pen.fill(mark);
      pen.dispose();
      return png(drawn);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  static byte[] png(BufferedImage drawn) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(drawn, "png", bytes);
    return bytes.toByteArray();
  }
}
