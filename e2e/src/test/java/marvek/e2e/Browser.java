package marvek.e2e;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.TimeoutException;
import org.openqa.selenium.WebDriver;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.ExpectedConditions;
import org.openqa.selenium.support.ui.FluentWait;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.Sleeper;
import org.openqa.selenium.support.ui.WebDriverWait;

/**
 * A window of headless Chromium, 1280×800, in which nothing is remembered, and the gestures of a
 * driver. One Chromium serves a whole run, as its start takes longer than many a journey; a second
 * window at the same time gets one of its own.
 */
final class Browser implements AutoCloseable {
  /** Leads to this machine and is none of Marvek's names. */
  static final String FOREIGN_NAME = Chromium.FOREIGN_NAME;

  /** A first computation takes seconds, many times that where two runs share two busy cores. */
  private static final Duration PATIENCE = Duration.ofSeconds(90);

  /** Between the first two looks at what is waited for: a glance takes some milliseconds itself. */
  private static final Duration GLANCE = Duration.ofMillis(60);

  /** What takes long is looked at less often, so that looking does not take what it waits for. */
  private static final Duration LAST_GLANCE = Duration.ofMillis(300);

  /** So much of a screen says which one it is and what it complains of. */
  private static final int MOST_TOLD = 600;

  private static Chromium shared;
  private static boolean taken;

  private final String root;
  private final Chromium chromium;
  private final ChromeDriver driver;

  /** A device of its own, whose user has installed a root certificate. */
  Browser(String root, Path trusted) {
    this.root = root;
    chromium = Chromium.trusting(trusted);
    driver = chromium.driver();
    emptyWindow();
  }

  Browser(int port) {
    root = "http://127.0.0.1:" + port;
    chromium = taken ? Chromium.started() : shared();
    driver = chromium.driver();
    taken = true;
    emptyWindow();
  }

  private static Chromium shared() {
    if (shared == null) {
      shared = Chromium.started();
      Runtime.getRuntime().addShutdownHook(new Thread(() -> shared.end()));
    }
    return shared;
  }

  /** What a window remembers goes with it, what the browser keeps of a site is thrown away. */
  private void emptyWindow() {
    Set<String> before = driver.getWindowHandles();
    driver.switchTo().newWindow(WindowType.TAB);
    String mine = driver.getWindowHandle();
    for (String window : before) {
      driver.switchTo().window(window).close();
    }
    driver.switchTo().window(mine);
    driver.executeCdpCommand(
        "Storage.clearDataForOrigin", Map.of("origin", root, "storageTypes", "all"));
    driver.manage().timeouts().pageLoadTimeout(PATIENCE);
    driver.manage().timeouts().scriptTimeout(PATIENCE);
    size(1280, 800);
  }

  /**
   * The interface's files are fetched anew, as on a first visit. Else they are kept from one window
   * to the next, as a browser does: reading them anew took a sixth of the journeys' time.
   */
  void forgetFiles() {
    driver.executeCdpCommand("Network.clearBrowserCache", Map.of());
  }

  /** Makes the window another device's, in CSS pixels; what is open is laid anew. */
  void size(int width, int height) {
    driver.executeCdpCommand(
        "Emulation.setDeviceMetricsOverride",
        Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
  }

  /**
   * Waits until what follows from another size is laid out: a drawing that measures its room is
   * told of it in one frame and drawn in the next.
   */
  void awaitLayout() {
    driver.executeAsyncScript(
        "const done = arguments[0];"
            + "const after = (n) => (n ? requestAnimationFrame(() => after(n - 1)) : done());"
            + "after(3);");
  }

  ChromeDriver driver() {
    return driver;
  }

  /** Opens a path; a browser that now and then does not come to the end of it is asked again. */
  void open(String path) {
    try {
      driver.get(root + path);
    } catch (TimeoutException e) {
      driver.get(root + path);
    }
  }

  /** Opens a page of somebody else's. */
  void openElsewhere(String url) {
    driver.get(url);
  }

  /** Follows a link of the screen, as a click does: the page is not loaded anew. */
  void follow(String css) {
    seePresent(css);
    driver.executeScript("document.querySelector(arguments[0]).click()", css);
  }

  /** Opens another window of the same browser and goes on in it; the name of the one before. */
  String anotherWindow() {
    String before = driver.getWindowHandle();
    driver.switchTo().newWindow(WindowType.TAB);
    return before;
  }

  String nameOfWindow() {
    return driver.getWindowHandle();
  }

  void waitForTitle(String title) {
    until().until(ExpectedConditions.titleIs(title));
  }

  void intoFrame(String id) {
    driver.switchTo().frame(id);
  }

  void back() {
    driver.navigate().back();
  }

  void forward() {
    driver.navigate().forward();
  }

  /** Goes to a path as a link would: the page is not loaded anew. */
  void goTo(String path) {
    driver.executeScript(
        "const a = document.createElement('a'); a.href = arguments[0];"
            + "document.body.append(a); a.click(); a.remove();",
        path);
  }

  void seeValue(String css, String value) {
    until().until(ExpectedConditions.attributeToBe(By.cssSelector(css), "value", value));
  }

  /** Waits until something says another thing than it did. */
  void seeOther(String css, String text) {
    until()
        .until(
            d ->
                d.findElements(By.cssSelector(css)).stream()
                    .anyMatch(e -> !e.getText().equals(text)));
  }

  void toWindow(String name) {
    driver.switchTo().window(name);
  }

  /** Opens the first screen and waits until the lap is there. */
  void openBook() {
    open("/");
    see("[data-lap]");
  }

  WebElement see(String css) {
    return until().until(ExpectedConditions.visibilityOfElementLocated(By.cssSelector(css)));
  }

  /** Waits for something that need not be visible, as a thin line. */
  void seePresent(String css) {
    until().until(ExpectedConditions.presenceOfElementLocated(By.cssSelector(css)));
  }

  void seeText(String css, String text) {
    until().until(ExpectedConditions.textToBePresentInElementLocated(By.cssSelector(css), text));
  }

  void seeTextNoMore(String css, String text) {
    until()
        .until(
            ExpectedConditions.not(
                ExpectedConditions.textToBePresentInElementLocated(By.cssSelector(css), text)));
  }

  void seeNoMore(String css) {
    until().until(ExpectedConditions.invisibilityOfElementLocated(By.cssSelector(css)));
  }

  /**
   * A list is drawn anew while it is looked at: what is gone then is looked for again. What does
   * not come is told with what stood on the screen instead.
   */
  private FluentWait<WebDriver> until() {
    return new WebDriverWait(driver, PATIENCE, GLANCE, Clock.systemUTC(), slowerAndSlower()) {
      @Override
      protected RuntimeException timeoutException(String message, Throwable last) {
        return super.timeoutException(message + "\nThe screen: " + onTheScreen(), last);
      }
    }.ignoring(StaleElementReferenceException.class);
  }

  /** Each pause a quarter longer than the one before. */
  private static Sleeper slowerAndSlower() {
    AtomicLong pauseMs = new AtomicLong(GLANCE.toMillis());
    return asked ->
        Thread.sleep(pauseMs.getAndUpdate(last -> Math.min(LAST_GLANCE.toMillis(), last * 5 / 4)));
  }

  private String onTheScreen() {
    String text = driver.findElement(By.tagName("body")).getText().replace("\n", " | ");
    return path() + ": " + text.substring(0, Math.min(MOST_TOLD, text.length()));
  }

  /** Waits until there are so many of a kind. */
  void seeCount(String css, int number) {
    until().until(ExpectedConditions.numberOfElementsToBe(By.cssSelector(css), number));
  }

  /** Presses what is found, the new one if it was drawn anew in between. */
  private void clickFound(Function<WebDriver, WebElement> find) {
    until()
        .until(
            d -> {
              WebElement found = find.apply(d);
              if (found == null) {
                return false;
              }
              found.click();
              return true;
            });
  }

  void click(String css) {
    clickFound(ExpectedConditions.elementToBeClickable(By.cssSelector(css)));
  }

  /** Presses the button that carries a text. */
  void press(String text) {
    By button = By.xpath("//button[contains(normalize-space(.), '" + text + "')]");
    clickFound(ExpectedConditions.elementToBeClickable(button));
  }

  /** The same within a part of the screen. */
  void press(String text, String within) {
    clickFound(
        d ->
            d.findElement(By.cssSelector(within)).findElements(By.tagName("button")).stream()
                .filter(button -> button.getText().strip().contains(text))
                .findFirst()
                .orElse(null));
  }

  /** Presses the thing of a kind that begins with some words. */
  void clickWords(String css, String words) {
    clickFound(
        d ->
            d.findElements(By.cssSelector(css)).stream()
                .filter(e -> e.getText().strip().contains(words))
                .findFirst()
                .orElse(null));
  }

  /** Waits until something holds. */
  void until(String what, BooleanSupplier holds) {
    until().withMessage(what).until(d -> holds.getAsBoolean());
  }

  List<WebElement> all(String css) {
    return driver.findElements(By.cssSelector(css));
  }

  /** Presses where nothing but the ground is. */
  void clickCorner() {
    new Actions(driver).moveToLocation(2, 790).click().perform();
  }

  /** Number of things of a kind on the screen. */
  int count(String css) {
    return driver.findElements(By.cssSelector(css)).size();
  }

  /** Types into a field in the place of what it holds, and leaves it. */
  void type(String css, String value) {
    WebElement field = see(css);
    field.sendKeys(Keys.chord(Keys.CONTROL, "a"), value, Keys.TAB);
  }

  /** Sets a field that is not typed into letter by letter, a date with its hour. */
  void set(String css, String value) {
    driver.executeScript(
        "arguments[0].value = arguments[1];"
            + "for (const e of ['input', 'change'])"
            + " arguments[0].dispatchEvent(new Event(e, {bubbles: true}));",
        see(css),
        value);
  }

  void key(CharSequence... keys) {
    driver.switchTo().activeElement().sendKeys(keys);
  }

  /** Takes the focus away, for a picture without its ring. */
  void leaveField() {
    driver.executeScript("document.activeElement.blur()");
  }

  /** Takes hold of the middle of something and lets go of it elsewhere [px]. */
  void drag(String css, int dx, int dy) {
    WebElement thing = see(css);
    new Actions(driver)
        .moveToElement(thing)
        .clickAndHold()
        .moveByOffset(dx / 2, dy / 2)
        .moveByOffset(dx - dx / 2, dy - dy / 2)
        .release()
        .perform();
  }

  /** A finger goes along from the middle of something [px], at a pace [px/s], and is lifted. */
  void flick(String css, int dx, int pace) {
    Map<String, Double> middle = middleOf(css);
    driver.executeCdpCommand(
        "Input.synthesizeScrollGesture",
        Map.of(
            "x",
            middle.get("x"),
            "y",
            middle.get("y"),
            "xDistance",
            dx,
            "speed",
            pace,
            "gestureSourceType",
            "touch"));
  }

  /** A finger is put on the middle of something, goes up or down [px] and stays there. */
  void holdAndMove(String css, int dy) {
    Map<String, Double> middle = middleOf(css);
    double x = middle.get("x");
    double y = middle.get("y");
    touch("touchStart", List.of(Map.of("x", x, "y", y)));
    for (int step = 1; step <= 4; step++) {
      touch("touchMove", List.of(Map.of("x", x, "y", y + dy * step / 4.0)));
    }
  }

  void liftFinger() {
    touch("touchEnd", List.of());
  }

  private void touch(String type, List<Map<String, Double>> points) {
    driver.executeCdpCommand(
        "Input.dispatchTouchEvent", Map.of("type", type, "touchPoints", points));
  }

  private Map<String, Double> middleOf(String css) {
    Map<?, ?> box =
        (Map<?, ?>)
            driver.executeScript(
                "arguments[0].scrollIntoView({block: 'center'});"
                    + "const b = arguments[0].getBoundingClientRect();"
                    + "return {x: b.x + b.width / 2, y: b.y + b.height / 2}",
                see(css));
    return Map.of(
        "x", ((Number) box.get("x")).doubleValue(), "y", ((Number) box.get("y")).doubleValue());
  }

  /** Clicks at an offset from the middle of something [px]. */
  void clickAt(String css, int dx, int dy) {
    new Actions(driver).moveToElement(see(css), dx, dy).click().perform();
  }

  /** Chooses an option of a list by its value. */
  void choose(String css, String value) {
    new Select(see(css)).selectByValue(value);
  }

  /** Chooses an option of a list by its words, once it is there. */
  void chooseWords(String css, String words) {
    until()
        .until(
            d ->
                new Select(d.findElement(By.cssSelector(css)))
                    .getOptions().stream().anyMatch(o -> o.getText().equals(words)));
    new Select(see(css)).selectByVisibleText(words);
  }

  /** Chooses a file in a field, once it is there; what takes files is often hidden. */
  void chooseFile(String css, Path file) {
    until().until(d -> !d.findElements(By.cssSelector(css)).isEmpty());
    driver.findElement(By.cssSelector(css)).sendKeys(file.toString());
  }

  String text(String css) {
    return see(css).getText();
  }

  /** What a part is marked with. */
  String attribute(String css, String name) {
    return see(css).getDomAttribute(name);
  }

  String value(String css) {
    return see(css).getDomProperty("value");
  }

  /** Path of the screen that is open. */
  String path() {
    return driver.getCurrentUrl().substring(root.length());
  }

  void reload() {
    driver.navigate().refresh();
  }

  /** Keeps a choice as the header's buttons would, then reloads. */
  void prefer(String theme, String speed, String length) {
    driver.executeScript(
        "localStorage.setItem('marvek.preferences', JSON.stringify({theme: arguments[0],"
            + " speed: arguments[1], length: arguments[2]}))",
        theme,
        speed,
        length);
    reload();
  }

  /** Changes the theme of the screen as it is. */
  void wear(String theme) {
    driver.executeScript("document.documentElement.dataset.theme = arguments[0]", theme);
  }

  /** For who asks for less motion: nothing is on its way from one colour to another. */
  void withoutMotion() {
    driver.executeCdpCommand(
        "Emulation.setEmulatedMedia",
        Map.of("features", List.of(Map.of("name", "prefers-reduced-motion", "value", "reduce"))));
  }

  /** Time from the begin of the navigation to the largest paint so far [ms]. */
  double largestPaintMillis() {
    Object millis =
        driver.executeAsyncScript(
            "const done = arguments[0];"
                + "new PerformanceObserver((list) => done(list.getEntries().at(-1).startTime))"
                + ".observe({type: 'largest-contentful-paint', buffered: true});");
    return ((Number) millis).doubleValue();
  }

  byte[] picture() {
    return driver.getScreenshotAs(OutputType.BYTES);
  }

  @Override
  public void close() {
    if (chromium == shared) {
      emptyWindow();
      taken = false;
    } else {
      chromium.end();
    }
  }
}
