package org.opentrellis.mail;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import org.apache.tika.Tika;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.problem.Refused;

/**
 * Takes files in. What they are is found from what is in them, whatever they are called; pictures
 * are drawn anew, so that nothing but the picture is left of them: no place, no camera, no hidden
 * program.
 */
public final class FileIntake {
  /** Twice as wide as the widest letter, for screens with fine points. */
  private static final int WIDEST = 1440;

  private static final int TALLEST = 4000;

  /** What is larger would take more memory than any letter needs. */
  private static final long MOST_POINTS = 50_000_000;

  private static final double QUALITY = 0.86;

  private FileIntake() {}

  /**
   * @param name as it was called where it comes from
   * @throws Refused if files of its kind are not kept, or if it is a picture that cannot be read
   */
  public static TakenFile take(String name, byte[] content) {
    if (content.length == 0) {
      throw new Refused("bad-file", "there is nothing in the file");
    }
    String type = new Tika().detect(content);
    FileKind kind =
        FileKind.of(type)
            .or(() -> calendar(name, content))
            .orElseThrow(() -> new Refused("bad-file", unknown(type)));
    if (!kind.isPicture()) {
      return new TakenFile(named(name, kind), kind, content, 0, 0);
    }
    return picture(name, kind, content);
  }

  private static Optional<FileKind> calendar(String name, byte[] content) {
    boolean says =
        new String(
                content, 0, Math.min(content.length, 40), java.nio.charset.StandardCharsets.UTF_8)
            .startsWith("BEGIN:VCALENDAR");
    return says && name.toLowerCase(Locale.ROOT).endsWith(".ics")
        ? Optional.of(FileKind.CALENDAR)
        : Optional.empty();
  }

  private static String unknown(String type) {
    return "files of this kind (%s) are not kept: pictures as PNG, JPEG or GIF, PDF, calendar files, sound as MP3 and film as MP4 are. A document goes as PDF"
        .formatted(type);
  }

  private static TakenFile picture(String name, FileKind kind, byte[] content) {
    requireReasonable(content);
    try {
      BufferedImage drawn =
          Thumbnails.of(new ByteArrayInputStream(content)).scale(1).asBufferedImage();
      double scale =
          Math.min(
              1,
              Math.min(WIDEST / (double) drawn.getWidth(), TALLEST / (double) drawn.getHeight()));
      FileKind written = kind == FileKind.GIF ? FileKind.PNG : kind;
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      Thumbnails.of(drawn)
          .scale(scale)
          .outputFormat(written == FileKind.PNG ? "png" : "jpg")
          .outputQuality(QUALITY)
          .toOutputStream(bytes);
      return new TakenFile(
          named(name, written),
          written,
          bytes.toByteArray(),
          Math.max(1, (int) Math.round(drawn.getWidth() * scale)),
          Math.max(1, (int) Math.round(drawn.getHeight() * scale)));
    } catch (IOException | RuntimeException broken) {
      throw new Refused("bad-file", "this picture cannot be read: it may be broken or cut off");
    }
  }

  /** Looks at the size that a picture says of itself, before any memory is taken for it. */
  private static void requireReasonable(byte[] content) {
    try (ImageInputStream input =
        ImageIO.createImageInputStream(new ByteArrayInputStream(content))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(input);
      if (!readers.hasNext()) {
        throw new Refused("bad-file", "this picture cannot be read");
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(input, true, true);
        long width = reader.getWidth(0);
        long height = reader.getHeight(0);
        if (width * height > MOST_POINTS) {
          throw new Refused(
              "bad-file",
              "this picture is %,d by %,d points large; %,d in all are the most"
                  .formatted(width, height, MOST_POINTS));
        }
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException broken) {
      if (broken instanceof Refused refused) {
        throw refused;
      }
      throw new Refused("bad-file", "this picture cannot be read: it may be broken or cut off");
    }
  }

  /** The name without what no name may hold, and with the ending of its kind. */
  private static String named(String name, FileKind kind) {
    String plain =
        name.replaceAll(".*[/\\\\]", "").replaceAll("[^\\p{L}\\p{N} ._()-]+", "-").strip();
    plain = plain.replaceAll("^[.\\s-]+", "");
    int dot = plain.lastIndexOf('.');
    String ending = dot < 0 ? "" : plain.substring(dot).toLowerCase(Locale.ROOT);
    boolean fits = ending.equals(kind.ending()) || kind == FileKind.JPEG && ending.equals(".jpeg");
    String base = dot > 0 ? plain.substring(0, dot) : plain;
    base = base.isBlank() ? "file" : base.substring(0, Math.min(60, base.length())).strip();
    return new FileName(base + (fits ? ending : kind.ending())).value();
  }
}
