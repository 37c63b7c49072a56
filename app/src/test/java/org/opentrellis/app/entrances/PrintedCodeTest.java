package org.opentrellis.app.entrances;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is drawn is read again by ZXing's reader, off a picture of it. */
class PrintedCodeTest {
  private static final int PIXELS = 6;

  @ParameterizedTest
  @ValueSource(
      strings = {
        "http://localhost:8460/e/planner",
        "https://letters.example.com/e/planner-on-the-website-with-a-name-of-eighty-characters-as-long-as-a-slug-can-be"
      })
  void phonesReadTheAddress(String address) throws Exception {
    String svg = PrintedCode.of(address);
    Matcher size = Pattern.compile("viewBox=\"0 0 (\\d+) (\\d+)\"").matcher(svg);
    assertThat(size.find()).isTrue();
    int side = Integer.parseInt(size.group(1)) * PIXELS;
    int[] picture = new int[side * side];
    Arrays.fill(picture, 0xffffffff);
    Matcher dark = Pattern.compile("M(\\d+) (\\d+)h1v1h-1z").matcher(svg);
    int least = Integer.MAX_VALUE;
    while (dark.find()) {
      int x = Integer.parseInt(dark.group(1));
      int y = Integer.parseInt(dark.group(2));
      least = Math.min(least, Math.min(x, y));
      for (int row = 0; row < PIXELS; row++) {
        int from = (y * PIXELS + row) * side + x * PIXELS;
        Arrays.fill(picture, from, from + PIXELS, 0xff000000);
      }
    }
    assertThat(least).as("white around it, ISO/IEC 18004: four modules").isEqualTo(4);
    BinaryBitmap seen =
        new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(side, side, picture)));
    assertThat(new QRCodeReader().decode(seen).getText()).isEqualTo(address);
  }
}
