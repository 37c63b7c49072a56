package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByLabelOptions;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;

/** The run sheet of an open page. */
final class Sheet {
  private Sheet() {}

  /** The rows of steps and arms. */
  static Locator rows(Page page) {
    return page.locator("ol [data-row]");
  }

  static Locator row(Page page, String step) {
    return page.locator("[data-row='" + step + "']");
  }

  /** The ids of the rows from top to bottom, once the sheet is there. */
  static List<String> order(Page page) {
    assertThat(rows(page).first()).isVisible();
    return rows(page).all().stream().map(row -> row.getAttribute("data-row")).toList();
  }

  /** The row that the keys work on. */
  static String current(Page page) {
    return page.locator("[data-row][aria-current=true]").getAttribute("data-row");
  }

  /** Adds a step of a kind from the list. */
  static void choose(Page page, String kind) {
    page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName("Choose").setExact(true))
        .click();
    Pattern name = Pattern.compile("^" + kind + "\\b");
    page.getByRole(AriaRole.MENUITEM, new GetByRoleOptions().setName(name)).click();
  }

  static Locator line(Page page) {
    return page.getByLabel("Add a sentence", new GetByLabelOptions().setExact(true));
  }

  static void saved(Page page) {
    assertThat(page.getByRole(AriaRole.STATUS)).containsText("Saved");
  }

  /** What a phrase of the API says. */
  static String words(JsonNode phrase) {
    return StreamSupport.stream(phrase.get("spans").spliterator(), false)
        .map(span -> span.get("text").asString())
        .collect(Collectors.joining());
  }

  /** Everything a run sheet of the API says, a line each. */
  static List<String> said(JsonNode sheet) {
    List<String> lines = new ArrayList<>();
    lines.add(words(sheet.at("/opening/sentence")));
    sheet.get("rules").forEach(rule -> lines.add(words(rule.get("sentence"))));
    sheet
        .get("rows")
        .forEach(
            row -> lines.add("  ".repeat(row.get("depth").asInt()) + words(row.get("sentence"))));
    lines.add(words(sheet.at("/goal/sentence")));
    return lines;
  }
}
