package org.opentrellis.app.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Page.GetByLabelOptions;
import com.microsoft.playwright.Page.GetByRoleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import org.opentrellis.app.Answers;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.doors.PasswordFile;
import org.opentrellis.app.storage.ClosedFolder;
import org.opentrellis.app.storage.DataFolder;
import org.springframework.context.ConfigurableApplicationContext;

/** The password as one says it, and a backup as one fetches it. */
class DoorsTest {
  private static final String PASSWORD = "nine frames and a queen";

  @RegisterExtension static final RunningApplication APP = RunningApplication.withDemo();
  @RegisterExtension static final Browser BROWSER = new Browser();

  @AfterEach
  void noPassword() throws IOException {
    new PasswordFile(APP.data()).clear();
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator heading(Page page, String name) {
    return page.getByRole(AriaRole.HEADING, new GetByRoleOptions().setName(name).setExact(true));
  }

  private static void say(Page page, String password) {
    page.getByLabel("Password", new GetByLabelOptions().setExact(true)).fill(password);
    button(page, "Come in").click();
  }

  @Test
  void thePasswordIsAskedForAndThenEverythingIsThere() throws IOException {
    new PasswordFile(APP.data()).set(PASSWORD);
    Page page = BROWSER.open(APP.address() + "/journeys/1");
    assertThat(heading(page, "Say the password")).isVisible();
    assertThat(page.getByLabel("Password", new GetByLabelOptions().setExact(true))).isFocused();
    Accessibility.assertNothingFound(page);
    say(page, "eight frames");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("That is not the password.");
    say(page, PASSWORD);
    assertThat(Sheet.row(page, "planner")).isVisible();
    button(page, "Sign out").click();
    assertThat(heading(page, "Say the password")).isVisible();
  }

  @Test
  void whatWasBeingWrittenWhenThePasswordWasAskedForIsKept() throws IOException {
    long id = APP.post("/api/journeys/1/copies", "").body().get("id").asLong();
    Page page = BROWSER.open(APP.address() + "/journeys/" + id + "?step=one-day");
    assertThat(Sheet.row(page, "one-day")).isVisible();
    new PasswordFile(APP.data()).set(PASSWORD);
    page.getByLabel("Amount: how many").fill("4");
    page.keyboard().press("Enter");
    assertThat(heading(page, "Say the password")).isVisible();
    say(page, PASSWORD);
    assertThat(Sheet.row(page, "one-day")).containsText("Wait 4 days");
    Sheet.saved(page);
    new PasswordFile(APP.data()).clear();
    assertThat(
            APP.get("/api/journeys/" + id).body().at("/journey/body/2/rule/amount/count").asInt())
        .isEqualTo(4);
  }

  @Test
  void aBackupIsFetchedAndHoldsEverything(@TempDir Path folder) throws IOException {
    Page page = BROWSER.open(APP.address() + "/journeys");
    Download download = page.waitForDownload(() -> button(page, "Download a backup").click());
    assertThat(download.suggestedFilename()).matches("open-trellis-\\d{4}-\\d\\d-\\d\\d\\.zip");
    Path file = folder.resolve("backup.zip");
    download.saveAs(file);
    Path data = Files.createDirectories(folder.resolve("data"));
    try (DataFolder held = DataFolder.open(data)) {
      new ClosedFolder(held).restore(file, Clock.systemUTC(), line -> {});
    }
    try (ConfigurableApplicationContext restored = RunningApplication.start(data)) {
      Answers there = Answers.of(restored);
      assertThat(there.get("/api/journeys/names").body())
          .isEqualTo(APP.get("/api/journeys/names").body());
      assertThat(there.get("/api/dry-runs").body()).isEqualTo(APP.get("/api/dry-runs").body());
    }
  }
}
