package org.opentrellis.app.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.opentrellis.app.StartRefused;
import org.opentrellis.torture.OldFolder;

/** Nightly backups, and files that are no backups. */
class BackupsTest {
  @TempDir Path path;

  private DataFolder folder;

  @BeforeEach
  void open() {
    folder = DataFolder.open(path);
  }

  @AfterEach
  void close() {
    folder.close();
  }

  private Backups on(String day) {
    Instant noon =
        java.time.LocalDate.parse(day).atTime(12, 0).atZone(ZoneId.systemDefault()).toInstant();
    return new Backups(folder, Clock.fixed(noon, ZoneId.systemDefault()));
  }

  @Test
  void thereIsOneANightAndAWeekOfThem() throws IOException {
    for (int day = 1; day <= 9; day++) {
      Backups backups = on("2027-03-0" + day);
      assertThat(backups.keepNightly(file -> Files.writeString(file, "x"))).isTrue();
      assertThat(backups.keepNightly(file -> Files.writeString(file, "y"))).isFalse();
    }
    assertThat(on("2027-03-09").named("nightly-"))
        .extracting(file -> file.getFileName().toString())
        .hasSize(7)
        .startsWith("nightly-2027-03-03.zip")
        .endsWith("nightly-2027-03-09.zip");
  }

  @Test
  void oneThatCouldNotBeMadeIsNotThereAndIsTriedAgain() throws IOException {
    Backups backups = on("2027-03-01");
    assertThatThrownBy(
            () ->
                backups.keepNightly(
                    file -> {
                      Files.writeString(file, "half");
                      throw new IOException("No space left on device");
                    }))
        .isInstanceOf(IOException.class);
    assertThat(folder.backups()).isEmptyDirectory();
    assertThat(backups.keepNightly(file -> Files.writeString(file, "x"))).isTrue();
  }

  @Test
  void whatIsNoWholeBackupChangesNothing() throws IOException {
    new OldFolder(5).unpack(path);
    byte[] before = Files.readAllBytes(folder.database());
    byte[] whole = new OldFolder(3).zip().readAllBytes();
    refused(Files.writeString(path.resolve("a.zip"), "no zip"));
    refused(Files.write(path.resolve("b.zip"), Arrays.copyOf(whole, whole.length / 2)));
    byte[] damaged = whole.clone();
    for (int i = 2_000; i < 2_100; i++) {
      damaged[i] ^= 0x55;
    }
    refused(Files.write(path.resolve("c.zip"), damaged));
    assertThatThrownBy(() -> restore(path.resolve("none.zip")))
        .isInstanceOf(StartRefused.class)
        .hasMessageContaining("There is no file");
    assertThat(Files.readAllBytes(folder.database())).isEqualTo(before);
  }

  private void refused(Path backup) {
    assertThatThrownBy(() -> restore(backup))
        .isInstanceOf(StartRefused.class)
        .hasMessageContaining("is not a whole backup of Open Trellis. Nothing was changed.");
    assertThat(folder.nextDatabase()).doesNotExist();
  }

  private void restore(Path backup) throws IOException {
    new ClosedFolder(folder).restore(backup, Clock.systemUTC(), line -> {});
  }
}
