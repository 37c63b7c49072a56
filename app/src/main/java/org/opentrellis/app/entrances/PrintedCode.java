package org.opentrellis.app.entrances;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/** A QR code (ISO/IEC 18004) that is drawn sharp at any size. */
final class PrintedCode {
  /** Modules that stay white around it. */
  private static final int QUIET = 4;

  private PrintedCode() {}

  /** Of a web address, as SVG; a quarter of it may be stained. */
  static String of(String address) {
    BitMatrix code = code(address);
    StringBuilder dark = new StringBuilder();
    for (int y = 0; y < code.getHeight(); y++) {
      for (int x = 0; x < code.getWidth(); x++) {
        if (code.get(x, y)) {
          dark.append("M%d %dh1v1h-1z".formatted(x, y));
        }
      }
    }
    return """
        <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %d %d" width="480" height="480" \
        shape-rendering="crispEdges"><path fill="#fff" d="M0 0h%dv%dH0z"/><path d="%s"/></svg>
        """
        .formatted(code.getWidth(), code.getHeight(), code.getWidth(), code.getHeight(), dark);
  }

  private static BitMatrix code(String address) {
    try {
      return new QRCodeWriter()
          .encode(
              address,
              BarcodeFormat.QR_CODE,
              0,
              0,
              Map.of(
                  EncodeHintType.ERROR_CORRECTION,
                  ErrorCorrectionLevel.Q,
                  EncodeHintType.MARGIN,
                  QUIET));
    } catch (WriterException tooLong) {
      throw new IllegalArgumentException("no code holds " + address, tooLong);
    }
  }
}
