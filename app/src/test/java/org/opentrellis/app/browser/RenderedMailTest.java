package org.opentrellis.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** The demo's mails as Chromium draws them: on narrow and wide screens, in light and dark. */
class RenderedMailTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static final int[] WIDTHS = {320, 375, 600, 1200};

  /** What sticks out to the right, and texts that cover each other by more than a hair. */
  private static final String TROUBLE =
      """
      () => {
        const told = []
        if (document.documentElement.scrollWidth > innerWidth) {
          told.push('wider than the screen: ' + document.documentElement.scrollWidth)
        }
        const texts = [...document.querySelectorAll('p, li, h1, h2, h3, a, img')].filter(
          (one) => one.getClientRects().length && (one.textContent.trim() || one.tagName === 'IMG'))
        for (const one of texts) {
          const rect = one.getBoundingClientRect()
          if (rect.left < -1 || rect.right > innerWidth + 1) told.push('cut off: ' + one.textContent.slice(0, 40))
        }
        const boxes = texts.map((one) => one.getBoundingClientRect())
        for (let i = 0; i < texts.length; i++) {
          for (let k = i + 1; k < texts.length; k++) {
            const a = boxes[i]
            const b = boxes[k]
            const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left)
            const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
            if (wide <= 2 || high <= 2 || texts[i].parentElement === texts[k].parentElement) continue
            if (texts[i].contains(texts[k]) || texts[k].contains(texts[i])) continue
            told.push('overlap: ' + texts[i].textContent.slice(0, 30) + ' / ' + texts[k].textContent.slice(0, 30))
          }
        }
        return told
      }
      """;

  /** The least contrast of a text against what is behind it (WCAG 2.2). */
  private static final String LEAST_CONTRAST =
      """
      () => {
        const parts = (colour) => colour.match(/[\\d.]+/g).map(Number)
        const light = (colour) => {
          const [r, g, b] = parts(colour).map((one) => {
            const part = one / 255
            return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4
          })
          return 0.2126 * r + 0.7152 * g + 0.0722 * b
        }
        const behind = (element) => {
          for (let one = element; one; one = one.parentElement) {
            const colour = getComputedStyle(one).backgroundColor
            if ((parts(colour)[3] ?? 1) > 0) return colour
          }
          return 'rgb(255, 255, 255)'
        }
        let least = 21
        for (const one of document.querySelectorAll('p, li, h1, h2, h3, a')) {
          if (!one.textContent.trim() || !one.getClientRects().length) continue
          const a = light(getComputedStyle(one).color)
          const b = light(behind(one))
          least = Math.min(least, (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05))
        }
        return least
      }
      """;

  private static List<String> messages() {
    List<String> ids = new ArrayList<>();
    for (JsonNode message : APP.get("/api/messages").body()) {
      ids.add(message.get("id").asString());
    }
    return ids;
  }

  private static String html(String id) {
    return APP.text("/api/messages/" + id + "/page.html");
  }

  /** All that is asked of a mail, while it is open once. */
  @Test
  void everyMessageCanBeReadOnEveryScreen() {
    Page page = BROWSER.open("about:blank");
    for (String id : messages()) {
      String html = html(id);
      assertThat(html.length()).as(id).isLessThan(40_000);
      page.setContent(html);
      nothingIsCutOffAndNothingOverlaps(page, id);
      lightAndDarkAreRead(page, id);
      axeFindsNothing(page, id);
    }
  }

  @SuppressWarnings("unchecked")
  private static void nothingIsCutOffAndNothingOverlaps(Page page, String id) {
    for (int width : WIDTHS) {
      page.setViewportSize(width, 900);
      assertThat((List<Object>) page.evaluate(TROUBLE)).as(id + " at " + width).isEmpty();
    }
  }

  private static void lightAndDarkAreRead(Page page, String id) {
    for (ColorScheme scheme : List.of(ColorScheme.DARK, ColorScheme.LIGHT)) {
      page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
      double least = ((Number) page.evaluate(LEAST_CONTRAST)).doubleValue();
      assertThat(least).as(id + " in " + scheme).isGreaterThanOrEqualTo(4.5);
    }
  }

  private static void axeFindsNothing(Page page, String id) {
    assertThat(
            new AxeBuilder(page)
                    // A mail is no page: programs show it within one of their own.
                    // What contrast there is was measured before.
                    .disableRules(
                        List.of(
                            "landmark-one-main",
                            "region",
                            "page-has-heading-one",
                            "color-contrast"))
                    .analyze()
                    .getViolations()
                    .stream()
                    .map(rule -> rule.getId() + " " + rule.getNodes().getFirst().getHtml()))
        .as(id)
        .isEmpty();
  }
}
