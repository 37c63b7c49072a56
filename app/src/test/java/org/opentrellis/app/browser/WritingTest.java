package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByLabelOptions;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.app.RunningApplication;
import tools.jackson.databind.JsonNode;

/** Journeys written as sentences, with the keyboard alone. */
class WritingTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static JsonNode sheetOf(long journey) {
    return APP.get("/api/journeys/" + journey).body().get("sheet");
  }

  private static void type(Page page, String sentence) {
    assertThat(Sheet.line(page)).isFocused();
    page.keyboard().type(sentence);
    page.keyboard().press("Enter");
    assertThat(Sheet.line(page)).hasValue("");
  }

  /** Goes to a row with the arrow keys. */
  private static void goTo(Page page, String row) {
    page.keyboard().press("Escape");
    List<String> stops =
        page.locator("[data-row]").all().stream().map(r -> r.getAttribute("data-row")).toList();
    int way = stops.indexOf(row) - stops.indexOf(Sheet.current(page));
    for (int i = 0; i < Math.abs(way); i++) {
      page.keyboard().press(way > 0 ? "ArrowDown" : "ArrowUp");
    }
    assertThat(Sheet.row(page, row)).isFocused();
    page.keyboard().press("Control+Enter");
  }

  /** Welcome, nurture, cart and date-based: what their sheets say can be typed, line by line. */
  @ParameterizedTest
  @ValueSource(longs = {1, 3, 4, 5})
  void theDemosJourneysAreTypedAsSentences(long original) {
    JsonNode journey = APP.get("/api/journeys/" + original).body();
    JsonNode sheet = journey.get("sheet");
    long id =
        APP.post(
                "/api/journeys",
                "{\"name\": \"Typed %d\", \"purpose\": %s}"
                    .formatted(original, journey.at("/journey/purpose")))
            .body()
            .get("id")
            .asLong();
    Page page = BROWSER.open(APP.address() + "/journeys/" + id);
    Sheet.line(page).focus();
    type(page, Sheet.words(sheet.at("/opening/typed")));
    sheet.get("rules").forEach(rule -> type(page, Sheet.words(rule.get("typed"))));
    type(page, Sheet.words(sheet.at("/goal/typed")));
    typeSteps(page, sheet.get("rows"));
    Sheet.saved(page);
    assertThat(Sheet.said(sheetOf(id))).isEqualTo(Sheet.said(sheet));
  }

  private static void typeSteps(Page page, JsonNode rows) {
    Map<String, String> ids = new HashMap<>();
    List<JsonNode> above = new ArrayList<>();
    String here = "journey";
    for (JsonNode row : rows) {
      if (row.get("kind").asString().equals("ARM")) {
        List<String> now = Sheet.order(page);
        ids.put(row.get("id").asString(), now.get(above.size()));
      } else if (!row.get("ofStrand").asBoolean()) {
        String below = belowOf(row, above, ids);
        if (!below.equals(here)) {
          goTo(page, below);
        }
        type(page, Sheet.words(row.get("typed")));
        assertThat(Sheet.rows(page).nth(above.size())).hasAttribute("aria-current", "true");
        String typed = Sheet.current(page);
        ids.put(row.get("id").asString(), typed);
        // What is typed behind a question goes into its first arm.
        boolean parts = List.of("BRANCH", "SPLIT").contains(row.get("kind").asString());
        here = parts ? Sheet.order(page).get(above.size() + 1) : typed;
      }
      above.add(row);
    }
  }

  /** The step or arm right above in the same sequence; the opening for the first step of all. */
  private static String belowOf(JsonNode row, List<JsonNode> above, Map<String, String> ids) {
    int depth = row.get("depth").asInt();
    for (int i = above.size() - 1; i >= 0; i--) {
      JsonNode one = above.get(i);
      int its = one.get("depth").asInt();
      boolean arm = one.get("kind").asString().equals("ARM");
      if (!one.get("ofStrand").asBoolean() && (its == depth && !arm || its == depth - 1 && arm)) {
        return ids.get(one.get("id").asString());
      }
    }
    return "journey";
  }

  private static Page at(String path) {
    return BROWSER.open(APP.address() + "/journeys/" + path);
  }

  private static Locator editing(Page page) {
    return page.getByLabel("Change the sentence", new GetByLabelOptions().setExact(true));
  }

  @Test
  void aSentenceIsChangedInItsPlaceSlotBySlot() {
    Page page = at("1?step=one-day");
    Sheet.row(page, "one-day").focus();
    page.keyboard().press("Enter");
    assertThat(editing(page)).hasValue("Wait 1 day, then until 09:00 their time");
    page.keyboard().type("2 days");
    page.keyboard().press("Tab");
    page.keyboard().type("18:30");
    assertThat(page.getByText("changes it to: Wait 2 days, then until 18:30")).isVisible();
    Accessibility.assertNothingFound(page);
    page.keyboard().press("Enter");
    assertThat(Sheet.row(page, "one-day")).containsText("Wait 2 days, then until 18:30");
    assertThat(Sheet.row(page, "one-day")).isFocused();

    // Escape leaves it as it was, and a click on a slot begins there.
    page.keyboard().press("F2");
    page.keyboard().type("9 weeks");
    page.keyboard().press("Escape");
    assertThat(Sheet.row(page, "one-day")).containsText("Wait 2 days");
    Sheet.row(page, "one-day").locator("[data-slot]").nth(1).click();
    assertThat(editing(page)).isFocused();
    assertThat(editing(page).evaluate("f => f.value.slice(f.selectionStart, f.selectionEnd)"))
        .isEqualTo("18:30");
    page.keyboard().press("Escape");

    // The trigger and the goal are lines like any other.
    page.keyboard().press("End");
    assertThat(Sheet.row(page, "goal")).isFocused();
    page.keyboard().press("Enter");
    page.keyboard().press("Control+a");
    page.keyboard().type("goal bought anything within 9 days");
    page.keyboard().press("Enter");
    assertThat(Sheet.row(page, "goal")).containsText("within 9 days");
    page.keyboard().press("Control+z");
    assertThat(Sheet.row(page, "goal")).not().containsText("within 9 days");
  }

  @Test
  void whatIsWrongIsShownAtItsPlaceAndWaysToGoOnAreOffered() {
    Page page = at("3?step=week-2");
    Sheet.row(page, "week-2").focus();
    page.keyboard().type("wait 2 d");
    Locator ways =
        page.getByRole(AriaRole.LISTBOX, new GetByRoleOptions().setName("Ways to go on"))
            .getByRole(AriaRole.OPTION);
    assertThat(ways.first()).containsText("days");
    assertThat(Sheet.line(page)).hasAttribute("aria-invalid", "false");
    Accessibility.assertNothingFound(page);
    page.keyboard().type("uz");
    assertThat(Sheet.line(page)).hasAttribute("aria-invalid", "true");
    assertThat(page.getByText("\u201cduz\u201d is not understood here.")).isVisible();
    int steps = Sheet.rows(page).count();
    page.keyboard().press("Enter");
    assertThat(Sheet.line(page)).hasValue("wait 2 duz");
    for (int i = 0; i < 3; i++) {
      page.keyboard().press("Backspace");
    }
    assertThat(ways.first()).containsText("minutes");
    page.keyboard().type("d");
    assertThat(ways.first()).containsText("days");
    page.keyboard().press("Tab");
    assertThat(Sheet.line(page)).hasValue("wait 2 days ");
    assertThat(page.getByText("adds: Wait 2 days")).isVisible();
    page.keyboard().press("Enter");
    assertThat(Sheet.rows(page)).hasCount(steps + 1);
    assertThat(Sheet.line(page)).isFocused();

    // A message that is not there is written on the way.
    page.keyboard().type("send Frost on the hive");
    assertThat(page.getByText("writes the new email \u201cFrost on the hive\u201d")).isVisible();
    page.keyboard().press("Enter");
    assertThat(Sheet.rows(page)).hasCount(steps + 2);
    assertThat(Sheet.row(page, Sheet.current(page))).containsText("Send Frost on the hive");

    // Tab and Escape lead out of the line: it is no trap.
    page.keyboard().press("Shift+Tab");
    assertThat(page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("Choose")))
        .isFocused();
  }
}
