package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByLabelOptions;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** Plans that practitioners make, typed by somebody who never saw the docs. */
class TypedPlansTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();
  @RegisterExtension static final Browser BROWSER = new Browser();

  /** What is read there by the reader alone is done here by hand. */
  private static final Path PLANS =
      Path.of("../core/src/test/resources/org/opentrellis/core/reading/plans.txt");

  /** As many as may be needed to answer questions. */
  private static final int MORE = 3;

  /**
   * @param sheet purpose, opening, rules, rows and goal
   */
  record Plan(String name, List<String> lines, List<String> sheet) {
    @Override
    public String toString() {
      return name;
    }
  }

  static List<Plan> plans() {
    try {
      return Arrays.stream(Files.readString(PLANS).split("(?m)^# "))
          .skip(1)
          .map(TypedPlansTest::plan)
          .toList();
    } catch (IOException failure) {
      throw new UncheckedIOException(failure);
    }
  }

  private static Plan plan(String text) {
    String[] parts = text.strip().split("\nbecomes\n", 2);
    List<String> lines = parts[0].lines().toList();
    return new Plan(
        lines.get(0), lines.subList(1, lines.size()), parts[1].strip().lines().toList());
  }

  @ParameterizedTest
  @MethodSource("plans")
  void isTypedInAsManyActionsAsItHasSentences(Plan plan) {
    Page page = BROWSER.open(APP.address() + "/journeys");
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("New journey")).first().click();
    page.getByLabel("Name", new GetByLabelOptions().setExact(true)).fill(plan.name);
    page.keyboard().press("Enter");
    int actions = 0;
    for (String line : plan.lines) {
      actions += typed(page, line);
    }
    Sheet.saved(page);
    assertThat(sheet(page)).isEqualTo(plan.sheet);
    assertThat(actions).isLessThanOrEqualTo(plan.lines.size() + MORE);
  }

  /** Types a sentence and answers what is asked; gives how many actions that took. */
  private static int typed(Page page, String line) {
    Locator field = Sheet.line(page);
    assertThat(field).isFocused();
    page.keyboard().insertText(line);
    Locator answer =
        page.getByRole(AriaRole.OPTION)
            .filter(new Locator.FilterOptions().setHasText("answer"))
            .first();
    Locator adds = page.getByText("adds:");
    assertThat(answer.or(adds).first()).isVisible();
    int actions = 1;
    if (answer.isVisible()) {
      page.keyboard().press("Tab");
      assertThat(adds).isVisible();
      actions++;
    }
    page.keyboard().press("Enter");
    assertThat(field).hasValue("");
    return actions;
  }

  private static List<String> sheet(Page page) {
    String id = page.url().replaceAll(".*/journeys/(\\d+).*", "$1");
    JsonNode view = APP.get("/api/journeys/" + id).body();
    List<String> lines = new ArrayList<>();
    String purpose = view.at("/journey/purpose").asString();
    lines.add(purpose.toLowerCase(Locale.ROOT).replace('_', '-'));
    lines.addAll(Sheet.said(view.get("sheet")));
    return lines;
  }
}
