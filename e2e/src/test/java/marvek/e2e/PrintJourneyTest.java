package marvek.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Base64;
import marvek.server.ServerTest;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.print.PageSize;
import org.openqa.selenium.print.PrintOptions;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.resttestclient.TestRestTemplate;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What the browser prints of a screen: one upright sheet, from whatever size of window. */
@ServerTest
class PrintJourneyTest {
  /** ISO 216, in centimetres. */
  private static final PageSize A4 = new PageSize(29.7, 21.0);

  private static final PageSize A5 = new PageSize(21.0, 14.8);

  /** What is shown on a sheet that is used: its last line stands below this share of it. */
  private static final double USED = 0.7;

  @LocalServerPort private int port;
  @Autowired private TestRestTemplate http;
  private Browser browser;
  private DemoAddresses demo;

  @BeforeEach
  void start() {
    browser = new Browser(port);
    demo = DemoAddresses.of(http);
  }

  @AfterEach
  void end() {
    browser.close();
  }

  @ParameterizedTest
  @CsvSource({
    "BOOK/corner/4, article, Long Hythe, A4, 390",
    "BOOK/corner/4, article, Nothing to be read, A5, 1280",
    "BOOK/corner/6, article, Nothing to be read, A5, 390",
    "BOOK, table, Harrow, A4, 390",
    "BOOK, table, Harrow, A4, 1280",
    "PLANNED/brief, [data-brief], Harrow, A5, 1280",
    "PLANNED/brief, [data-brief], Harrow, A5, 390"
  })
  void aScreenIsOneSheetThatIsUsed(
      String screen, String there, String words, String size, int width) throws IOException {
    browser.size(width, 844);
    browser.open(demo.path(screen));
    browser.see(there);
    PrintOptions options = new PrintOptions();
    options.setPageSize(size.equals("A4") ? A4 : A5);
    byte[] pdf = Base64.getDecoder().decode(browser.driver().print(options).getContent());
    try (PDDocument sheet = Loader.loadPDF(pdf)) {
      Lowest lowest = new Lowest();
      String text = lowest.getText(sheet);
      assertThat(sheet.getNumberOfPages()).as("sheets").isEqualTo(1);
      assertThat(text).contains(words).doesNotContain("note a mark", "Undo", "Other days");
      assertThat(lowest.share).as("of the sheet, down to the last line").isGreaterThan(USED);
    }
  }

  /** Reads a sheet and keeps how far down its last letter stands. */
  private static final class Lowest extends PDFTextStripper {
    private double share;

    @Override
    protected void processTextPosition(org.apache.pdfbox.text.TextPosition letter) {
      share = Math.max(share, letter.getYDirAdj() / letter.getPageHeight());
      super.processTextPosition(letter);
    }
  }
}
