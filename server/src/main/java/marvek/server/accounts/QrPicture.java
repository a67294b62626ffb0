package marvek.server.accounts;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.util.Map;

/**
 * Words as a code that a telephone reads with its camera.
 *
 * @param path its dark fields, as the path of a drawing
 * @param units fields along an edge, the quiet zone of four included (ISO/IEC 18004, from memory)
 */
record QrPicture(String path, int units) {
  private static final int QUIET = 4;

  static QrPicture of(String words) {
    try {
      BitMatrix dark =
          new QRCodeWriter()
              .encode(words, BarcodeFormat.QR_CODE, 0, 0, Map.of(EncodeHintType.MARGIN, QUIET));
      StringBuilder path = new StringBuilder();
      for (int y = 0; y < dark.getHeight(); y++) {
        for (int x = 0; x < dark.getWidth(); x++) {
          if (dark.get(x, y)) {
            path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
          }
        }
      }
      return new QrPicture(path.toString(), dark.getWidth());
    } catch (WriterException e) {
      throw new IllegalArgumentException("cannot be drawn as a code: " + words, e);
    }
  }
}
