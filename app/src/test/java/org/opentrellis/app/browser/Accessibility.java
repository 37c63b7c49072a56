package org.opentrellis.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import java.util.List;

/** Axe's rules on a page as it stands. */
final class Accessibility {
  private Accessibility() {}

  static void assertNothingFound(Page page) {
    // A library's guards hand the keys on and are never heard: nothing stays on them. In the frame
    // of a mail nothing runs, not even what looks for faults: it would wait for ever.
    List<String> found =
        new AxeBuilder(page)
                .exclude("[data-headlessui-focus-guard]")
                .exclude("iframe")
                .analyze()
                .getViolations()
                .stream()
                .map(Accessibility::told)
                .toList();
    assertThat(found).isEmpty();
  }

  private static String told(Rule rule) {
    return rule.getId() + ": " + rule.getNodes().stream().map(node -> node.getHtml()).toList();
  }
}
