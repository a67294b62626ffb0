package marvek.server.printing;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.springframework.stereotype.Component;

/** Turns XHTML into PDF with the fonts that are shipped. */
@Component
class Pdf {
  private static final String FONTS = "/marvek/fonts/barlow-condensed-";

  Pdf() {
    // The library tells of every font on the standard output.
    XRLog.setLoggingEnabled(false);
  }

  byte[] render(String xhtml) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PdfRendererBuilder builder = new PdfRendererBuilder();
    builder.useFastMode();
    builder.useSVGDrawer(new BatikSVGDrawer());
    for (int weight : new int[] {400, 600}) {
      font(builder, "latin", "Card", weight);
      font(builder, "latin-ext", "CardExt", weight);
    }
    builder.withHtmlContent(xhtml, null);
    builder.toStream(out);
    try {
      builder.run();
    } catch (IOException e) {
      throw new UncheckedIOException("The card could not be made", e);
    }
    return out.toByteArray();
  }

  private static void font(PdfRendererBuilder builder, String part, String family, int weight) {
    builder.useFont(() -> open(part, weight), family, weight, FontStyle.NORMAL, true);
  }

  private static InputStream open(String part, int weight) {
    return Pdf.class.getResourceAsStream(FONTS + part + "-" + weight + ".ttf");
  }
}
