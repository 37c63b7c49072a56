package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;

/** A table of people is brought in, mended and taken back, as a person does it. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class TablesTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.empty();
  @RegisterExtension static final Browser BROWSER = new Browser();

  private static final int ROWS = 500;
  private static final int FAULTS = 20;

  /** What is wrong with some row, each in another way; the cells stand between bars. */
  private static final List<String> WRONG =
      List.of(
          "|Mira|+4721234567|2|2024-05-01|yes",
          "mira|Mira||2|2024-05-01|yes",
          "@example.com|Mira||2|2024-05-01|yes",
          "mira@|Mira||2|2024-05-01|yes",
          "mira@example|Mira||2|2024-05-01|yes",
          "mira@exa mple.com|Mira||2|2024-05-01|yes",
          "mi ra@example.com|Mira||2|2024-05-01|yes",
          "m\u00edra@example.com|Mira||2|2024-05-01|yes",
          "mira..t@example.com|Mira||2|2024-05-01|yes",
          "x".repeat(65) + "@example.com|Mira||2|2024-05-01|yes",
          "wrong1@example.com|" + "M".repeat(81) + "||2|2024-05-01|yes",
          "wrong2@example.com|Mira|12|2|2024-05-01|yes",
          "wrong3@example.com|Mira|21 23 45 67|2|2024-05-01|yes",
          "wrong4@example.com|Mira|ring me|2|2024-05-01|yes",
          "wrong5@example.com|Mira||many|2024-05-01|yes",
          "wrong6@example.com|Mira||2|2024-02-31|yes",
          "wrong7@example.com|Mira||2|some day|yes",
          "wrong8@example.com|Mira||2|2024-05-01|perhaps",
          "wrong9@example.com|Mira||2|2024-05-01|yes|more",
          "right0@example.com|Mira||2|2024-05-01|yes");

  private static String table() {
    List<String> rows = new ArrayList<>();
    rows.add("E-mail;First name;Phone;hives;keeper since;member");
    for (int n = 0; n < ROWS - FAULTS; n++) {
      rows.add("right%d@example.com;Keeper %d;;%d;2021-04-13;no".formatted(n, n, n % 7));
    }
    WRONG.forEach(row -> rows.add(row.replace('|', ';')));
    return String.join("\r\n", rows) + "\r\n";
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static void handIn(Page page, String name, String table) {
    page.locator("input[type=file]")
        .setInputFiles(new FilePayload(name, "text/csv", table.getBytes(StandardCharsets.UTF_8)));
  }

  private static Locator willDo(Page page) {
    return page.getByLabel("What it will do");
  }

  private static Locator lately(Page page) {
    return page.getByLabel("Done lately");
  }

  @Test
  @Order(1)
  void aTableIsBroughtInMendedAndTakenBack() throws IOException {
    Page page = BROWSER.open(APP.address() + "/people");
    page.getByRole(AriaRole.LINK, new GetByRoleOptions().setName("Bring in a table"))
        .first()
        .click();
    Accessibility.assertNothingFound(page);
    handIn(page, "keepers-fair.csv", table());
    assertThat(page.getByText("500 rows")).isVisible();
    assertThat(willDo(page)).containsText("480 people are new and will be added.");
    assertThat(willDo(page)).containsText("20 rows will be refused");
    assertThat(willDo(page)).containsText("Line 2 has the same address.");
    Accessibility.assertNothingFound(page);

    // Nothing is brought in before it is said whether they agreed.
    button(page, "Bring them in").click();
    assertThat(page.getByText("Say whether these people agreed to email.")).isVisible();
    page.getByLabel("Yes, and this is how it is known:").check();
    button(page, "Bring them in").click();
    assertThat(page.getByText("Say how you know that they agreed to email.")).isVisible();
    page.getByRole(AriaRole.TEXTBOX, new GetByRoleOptions().setName("How it is known"))
        .fill("signed at the stand");
    page.getByLabel("Put all on lists").fill("Newcomers");
    button(page, "Bring them in").click();
    assertThat(lately(page)).containsText("Import of keepers-fair.csv");
    assertThat(lately(page)).containsText("Done: 480 new, 20 refused.");
    assertThat(page.getByText("480 · 480 may be mailed")).isVisible();
    Accessibility.assertNothingFound(page);

    Download refused =
        page.waitForDownload(() -> page.getByText("The refused rows and why").click());
    String rows = Files.readString(refused.path());
    org.assertj.core.api.Assertions.assertThat(rows.lines()).hasSize(FAULTS + 1);

    // Those whose address alone was wrong are mended, and brought again as they are.
    String mended =
        rows.lines()
            .filter(row -> row.startsWith("(line)") || row.contains("mira@example,"))
            .map(row -> row.replace("mira@example,", "mira@example.org,"))
            .reduce("", (all, row) -> all + row + "\n");
    page.navigate(APP.address() + "/people/table");
    handIn(page, "mended.csv", mended);
    assertThat(willDo(page)).containsText("One person is new and will be added.");
    page.getByLabel("Not yet: nothing is sent").check();
    button(page, "Bring them in").click();
    assertThat(lately(page)).containsText("Done: 1 new.");
    assertThat(page.getByText("481 · 480 may be mailed")).isVisible();

    button(page, "What was done before: 1").click();
    lately(page)
        .getByRole(AriaRole.LISTITEM)
        .filter(new Locator.FilterOptions().setHasText("keepers-fair.csv"))
        .getByRole(AriaRole.BUTTON)
        .click();
    assertThat(lately(page)).containsText("Taken back.");
    assertThat(page.getByText("1 · 0 may be mailed")).isVisible();
  }

  /** What can be read in two ways is asked about, and what is pasted is a table, too. */
  @Test
  @Order(2)
  void whatCanBeReadInTwoWaysIsAsked() {
    Page page = BROWSER.open(APP.address() + "/people/table");
    page.evaluate(
        """
        () => {
          const data = new DataTransfer()
          data.setData('text/plain', 'email\\tsince\\nask@example.com\\t03/04/2025\\n')
          document.querySelector('main').dispatchEvent(
            new ClipboardEvent('paste', { clipboardData: data, bubbles: true }))
        }
        """);
    assertThat(page.getByText("Dates such as 03/04/2025 can be read in more than one way"))
        .isVisible();
    assertThat(button(page, "Bring them in")).isDisabled();
    Accessibility.assertNothingFound(page);
    page.getByLabel("Order of the dates in since").selectOption("DAY_FIRST");
    assertThat(willDo(page)).containsText("One person is new and will be added.");
    page.reload();
    assertThat(page.getByText("Dates such as 03/04/2025")).isVisible();
  }

  private static String many() {
    StringBuilder table = new StringBuilder("email,first name\n");
    for (int n = 0; n < 1_000; n++) {
      table.append("many%d@example.com,Many %d\n".formatted(n, n));
    }
    return table.toString();
  }

  @Test
  @Order(3)
  void somethingIsDoneToAThousandAndTakenBack() {
    Page page = BROWSER.open(APP.address() + "/people/table");
    handIn(page, "many.csv", many());
    page.getByLabel("Not yet: nothing is sent").check();
    assertThat(willDo(page)).containsText("1,000 people are new");
    button(page, "Bring them in").click();
    assertThat(lately(page)).containsText("Done: 1,000 new.");

    page.getByLabel("Search names and addresses").fill("many");
    assertThat(page.getByText("All 1,000 found")).isVisible();
    button(page, "Tag…").click();
    page.getByLabel("Its name").fill("spring");
    assertThat(page.getByText("Tag “spring”: 1,000 people.")).isVisible();
    Accessibility.assertNothingFound(page);
    page.keyboard().press("Enter");
    assertThat(lately(page)).containsText("Done: 1,000 people changed.");
    assertThat(page.getByText("spring").nth(1)).isVisible();

    // Of two that are chosen, nobody else is meant.
    page.getByLabel("Choose Many 0", new Page.GetByLabelOptions().setExact(true)).check();
    page.getByLabel("Choose Many 1", new Page.GetByLabelOptions().setExact(true)).check();
    assertThat(page.getByText("2 chosen")).isVisible();
    button(page, "Stop mailing…").click();
    assertThat(page.getByText("Stop mailing: 2 people.")).isVisible();
    button(page, "Cancel").click();
    button(page, "choose none").click();

    lately(page).getByText("Take back").first().click();
    assertThat(lately(page)).containsText("Taken back.");
    assertThat(page.getByText("spring").nth(1)).isHidden();
  }

  @Test
  @Order(4)
  void somebodyIsForgotten() {
    Page page = BROWSER.open(APP.address() + "/people");
    page.getByLabel("Search names and addresses").fill("many7@");
    button(page, "Many 7").click();
    Locator person = page.getByRole(AriaRole.REGION, new GetByRoleOptions().setName("Many 7"));
    button(page, "Forget them for good…").click();
    Accessibility.assertNothingFound(page);
    button(page, "Keep them").click();
    button(page, "Forget them for good…").click();
    button(page, "Forget for good").click();
    assertThat(person).isHidden();
    assertThat(page.getByText("Nobody is like that.")).isVisible();
  }

  /** The last change by hand goes back at once. */
  @Test
  @Order(5)
  void theLastChangeOfAPersonIsTakenBack() {
    Page page = BROWSER.open(APP.address() + "/people");
    page.getByLabel("Search names and addresses").fill("many9@");
    button(page, "Many 9").click();
    button(page, "Edit").click();
    page.getByLabel("First name").fill("Nine");
    page.keyboard().press("Enter");
    assertThat(button(page, "Nine")).isVisible();
    button(page, "Take the last change back").click();
    assertThat(button(page, "Many 9")).isVisible();
    assertThat(button(page, "Take the last change back")).isHidden();
  }
}
