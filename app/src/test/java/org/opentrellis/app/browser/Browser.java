package org.opentrellis.app.browser;

import com.microsoft.playwright.Browser.NewContextOptions;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * Debian's Chromium for one test class, the build that has no window at all (a third of the time of
 * the whole one); each page must stay free of errors.
 */
final class Browser implements BeforeAllCallback, AfterAllCallback, AfterEachCallback {
  private static final Path CHROMIUM = Path.of("/usr/bin/chromium-headless-shell");

  /** Long enough for a machine that is busy with other things. */
  private static final int PATIENCE_MILLIS = 20_000;

  private static final List<String> FLAGS =
      List.of(
          "--no-sandbox",
          "--disable-gpu",
          "--disable-background-networking",
          "--disable-component-update",
          "--disable-sync",
          "--no-first-run");

  private final List<String> errors = new ArrayList<>();
  private final List<Page> pages = new ArrayList<>();
  private @Nullable Playwright playwright;
  private com.microsoft.playwright.@Nullable Browser browser;

  @Override
  public void beforeAll(ExtensionContext test) {
    PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MILLIS);
    playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    browser =
        playwright
            .chromium()
            .launch(new BrowserType.LaunchOptions().setExecutablePath(CHROMIUM).setArgs(FLAGS));
  }

  /** A new page of 1280 by 800 in a context of its own. */
  Page open(String address) {
    Page page =
        browser
            .newContext(
                new NewContextOptions()
                    .setViewportSize(1280, 800)
                    .setReducedMotion(com.microsoft.playwright.options.ReducedMotion.REDUCE))
            .newPage();
    page.setDefaultTimeout(PATIENCE_MILLIS);
    page.onPageError(errors::add);
    page.onConsoleMessage(
        message -> {
          if (message.text().contains("Content Security Policy")) {
            errors.add(message.text());
          }
        });
    pages.add(page);
    page.navigate(address);
    return page;
  }

  @Override
  public void afterEach(ExtensionContext test) {
    if (test.getExecutionException().isPresent()) {
      pages.forEach(page -> picture(page, test));
    }
    pages.forEach(page -> page.context().close());
    pages.clear();
    List<String> seen = List.copyOf(errors);
    errors.clear();
    if (!seen.isEmpty()) {
      throw new AssertionError("the page failed: " + seen);
    }
  }

  /** A failure leaves a picture of each page in target/failures. */
  private void picture(Page page, ExtensionContext test) {
    String name = test.getRequiredTestMethod().getName() + "-" + pages.indexOf(page) + ".png";
    page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("target/failures", name)));
  }

  @Override
  public void afterAll(ExtensionContext test) {
    if (playwright != null) {
      playwright.close();
    }
  }
}
