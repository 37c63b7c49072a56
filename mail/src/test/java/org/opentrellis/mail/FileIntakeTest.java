package org.opentrellis.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.SplittableRandom;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.problem.Refused;

class FileIntakeTest {
  private static byte[] picture(int width, int height, String format) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), format, bytes);
    return bytes.toByteArray();
  }

  @Test
  void whatItIsIsFoundFromWhatIsInIt() throws IOException {
    TakenFile taken = FileIntake.take("letter.pdf", picture(40, 20, "png"));
    assertThat(taken.kind()).isEqualTo(FileKind.PNG);
    assertThat(taken.name()).isEqualTo("letter.png");
    assertThat(taken.width()).isEqualTo(40);
    assertThat(taken.height()).isEqualTo(20);
  }

  @Test
  void wideScreensGetNoMoreThanTheyShow() throws IOException {
    TakenFile taken = FileIntake.take("wide.jpg", picture(3000, 600, "jpg"));
    assertThat(taken.width()).isEqualTo(1440);
    assertThat(taken.height()).isEqualTo(288);
    assertThat(ImageIO.read(new ByteArrayInputStream(taken.content())).getWidth()).isEqualTo(1440);
  }

  @Test
  void aPictureIsDrawnAnewSoThatNothingElseIsLeft() throws IOException {
    byte[] plain = picture(30, 30, "jpg");
    byte[] secret = "GPS 52.52 13.40 <script>".getBytes(StandardCharsets.US_ASCII);
    ByteBuffer with = ByteBuffer.allocate(plain.length + secret.length + 4);
    with.put(plain, 0, 2).put((byte) 0xFF).put((byte) 0xFE);
    with.putShort((short) (secret.length + 2)).put(secret).put(plain, 2, plain.length - 2);
    TakenFile taken = FileIntake.take("camera.jpg", with.array());
    assertThat(new String(taken.content(), StandardCharsets.ISO_8859_1))
        .doesNotContain("GPS", "script");
  }

  /** A PNG of a few bytes that says it is 60,000 points wide and high. */
  @Test
  void aPictureThatClaimsToBeHugeIsRefusedBeforeItIsDrawn() throws IOException {
    byte[] picture = picture(4, 4, "png");
    ByteBuffer head = ByteBuffer.wrap(picture);
    head.putInt(16, 60_000);
    head.putInt(20, 60_000);
    CRC32 sum = new CRC32();
    sum.update(picture, 12, 17);
    head.putInt(29, (int) sum.getValue());
    long before = Runtime.getRuntime().totalMemory();
    assertThatThrownBy(() -> FileIntake.take("huge.png", picture))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("60,000 by 60,000");
    assertThat(Runtime.getRuntime().totalMemory() - before).isLessThan(500_000_000);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<svg xmlns=\"http://www.w3.org/2000/svg\"><script>alert(1)</script></svg>",
        "<html><script>alert(1)</script></html>",
        "#!/bin/sh\nrm -rf /",
        "MZ program",
        "just words"
      })
  void whatDoesSomethingByItselfIsNotKept(String content) {
    assertThatThrownBy(
            () -> FileIntake.take("picture.png", content.getBytes(StandardCharsets.UTF_8)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("are not kept");
  }

  /** An office document is a zip; nothing of it is ever unpacked. */
  @Test
  void anOfficeDocumentIsRefusedUnopened() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry("word/document.xml"));
      byte[] zeros = new byte[1 << 20];
      for (int i = 0; i < 200; i++) {
        zip.write(zeros);
      }
    }
    assertThatThrownBy(() -> FileIntake.take("plan.docx", bytes.toByteArray()))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("A document goes as PDF");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"../../etc/passwd", "C:\\temp\\a.exe", ".htaccess", "", "a/b\u0000c\r\nd"})
  void aNameIsNeverAPath(String name) throws IOException {
    TakenFile taken = FileIntake.take(name, picture(4, 4, "png"));
    assertThat(taken.name()).endsWith(".png").doesNotContain("/", "\\", "\r", "\n", "\u0000");
    assertThat(taken.name()).doesNotStartWith(".");
  }

  @Test
  void tenThousandBrokenFilesAreRefusedOrTaken() throws IOException {
    SplittableRandom random = new SplittableRandom(17);
    byte[][] whole = {picture(24, 24, "png"), picture(24, 24, "jpg"), picture(24, 24, "gif")};
    for (int n = 0; n < 10_000; n++) {
      byte[] broken = whole[n % whole.length].clone();
      for (int hits = 1 + random.nextInt(6); hits > 0; hits--) {
        broken[random.nextInt(broken.length)] = (byte) random.nextInt();
      }
      try {
        FileIntake.take("a.png", broken);
      } catch (Refused refused) {
        assertThat(refused.code()).isEqualTo("bad-file");
      }
    }
  }
}
