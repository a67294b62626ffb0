package marvek.server.printing;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Turns XHTML into PDF with the fonts that are shipped. */
@Component
public class Pdf {
  private static final String FONTS = "/marvek/fonts/barlow-condensed-";

  Pdf() {
    // The library tells of every font on the standard output.
    XRLog.setLoggingEnabled(false);
  }

  /**
   * Makes a first page aside once all is up, so that nobody waits for fonts and drawing to load.
   */
  @EventListener(ApplicationReadyEvent.class)
  void makeReady() {
    String first =
        "<html><body style=\"font-family: Card, CardExt\">1<svg"
            + " xmlns=\"http://www.w3.org/2000/svg\" width=\"9mm\" height=\"9mm\"><polyline"
            + " points=\"0,0 9,9\" stroke=\"#000\" fill=\"none\"/></svg></body></html>";
    Thread aside = new Thread(() -> render(first), "first-pdf");
    aside.setDaemon(true);
    aside.start();
  }

  /**
   * A document as PDF.
   *
   * @param xhtml well-formed, with its styles in it; text in the families Card and CardExt
   */
  public byte[] render(String xhtml) {
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
