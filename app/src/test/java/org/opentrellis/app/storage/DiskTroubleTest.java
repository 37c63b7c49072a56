package org.opentrellis.app.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.FileSystemException;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import org.h2.api.ErrorCode;
import org.h2.mvstore.DataUtils;
import org.h2.mvstore.MVStoreException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.app.Answers;
import org.opentrellis.app.RunningApplication;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A disk that is full, or cannot be written: nothing is acknowledged that is not kept, what is kept
 * can be read, the health says why, and it goes on by itself when there is room.
 */
@Order(1)
class DiskTroubleTest {
  private SmallDisk disk;
  private ConfigurableApplicationContext application;
  private Answers app;
  private int version;
  private int saves;

  @BeforeEach
  void mount() throws IOException {
    disk = SmallDisk.ofMegabytes(12);
  }

  @AfterEach
  void unmount() throws IOException {
    if (application != null) {
      application.close();
    }
    if (disk != null) {
      disk.close();
    }
  }

  private void start(String... arguments) {
    application = RunningApplication.start(disk.path().resolve("data"), arguments);
    app = Answers.of(application);
  }

  private void begin() {
    assertThat(app.post("/api/starters/nurture/journeys", "").status()).isEqualTo(201);
    version = 1;
  }

  /** Whoever saves while the data is being opened again is told to try again, and does. */
  private Answers.Answer save() {
    Answers.Answer answer = tryToSave();
    for (int again = 0; again < 100 && isReopening(answer); again++) {
      try {
        Thread.sleep(100);
      } catch (InterruptedException stopped) {
        throw new IllegalStateException(stopped);
      }
      answer = tryToSave();
    }
    return answer;
  }

  private static boolean isReopening(Answers.Answer answer) {
    return answer.status() == 503
        && answer.body().get("code").asString().equals("storage-reopening");
  }

  private Answers.Answer tryToSave() {
    ObjectNode order = (ObjectNode) read("/api/journeys/1");
    ObjectNode journey = (ObjectNode) order.get("journey");
    journey.put("name", "Save " + ++saves);
    Answers.Answer answer =
        app.put(
            "/api/journeys/1", "{\"version\": %d, \"journey\": %s}".formatted(version, journey));
    if (answer.status() == 200) {
      version = answer.body().get("version").asInt();
    }
    return answer;
  }

  /** The database may clear up behind itself at any moment, and what it saves then is saved. */
  private Answers.Answer saveOnAFullDisk() throws IOException {
    Answers.Answer answer;
    int times = 0;
    do {
      disk.fillUpTo(0);
      answer = save();
    } while (answer.status() == 200 && ++times < 20);
    return answer;
  }

  private void assertKept() {
    assertThat(read("/api/journeys/1").get("version").asInt()).isEqualTo(version);
  }

  private void assertHealth(int status, String words) {
    Answers.Answer health = app.get("/actuator/health");
    assertThat(health.status()).isEqualTo(status);
    assertThat(health.body().toString()).contains(words);
  }

  /** With and without the look at the room beforehand: without, the database hits the end. */
  @ParameterizedTest
  @ValueSource(strings = {"1MB", "0B"})
  void aFullDiskLosesNothingAndIsOvercome(String leastRoom) throws IOException {
    start("--trellis.least-room=" + leastRoom);
    begin();
    disk.fillUpTo(leastRoom.equals("0B") ? 200_000 : 1_200_000);
    Answers.Answer answer;
    do {
      answer = save();
    } while (answer.status() == 200 && saves < 500);
    // What the database clears up behind itself is room again; now there is none any more.
    disk.fillUpTo(0);
    for (int again = 0; again < 5; again++) {
      assertThat(answer.status()).isEqualTo(507);
      assertThat(answer.body().get("code").asString()).isEqualTo("disk-full");
      assertThat(answer.body().get("detail").asString()).contains("Make room");
      assertKept();
      answer = saveOnAFullDisk();
    }
    assertHealth(503, "The disk that holds the data is full.");
    disk.makeRoom();
    assertThat(save().status()).isEqualTo(200);
    assertHealth(200, "UP");
    application.close();
    start();
    assertKept();
    Set<Integer> all = new TreeSet<>();
    for (int one = 1; one <= version; one++) {
      if (app.get("/api/journeys/1/versions/" + one).status() == 200) {
        all.add(one);
      }
    }
    assertThat(all).as("every save that was acknowledged").hasSize(version);
  }

  /** Also what has to be worked out anew, since another journey has changed, is told. */
  @Test
  void listsAreReadOnAFullDisk() throws IOException {
    start();
    begin();
    assertThat(app.post("/api/journeys/1/copies", "").status()).isEqualTo(201);
    awaitPictures();
    assertThat(app.put("/api/journeys/1/archived", "").status()).isEqualTo(200);
    disk.fillUpTo(0);
    JsonNode list = read("/api/journeys");
    long copy = list.at("/journeys/0/card/id").asLong();
    assertThat(list.at("/journeys/0/card/findings").asLong())
        .isEqualTo(Answers.told(read("/api/journeys/" + copy)));
    disk.makeRoom();
    read("/api/journeys");
  }

  /** What is written behind a list may have the database opened anew; reading waits for that. */
  private JsonNode read(String path) {
    long giveUp = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
    Answers.Answer answer = app.get(path);
    while (answer.status() == 503) {
      assertThat(System.nanoTime()).as("twenty seconds are enough").isLessThan(giveUp);
      answer = app.get(path);
    }
    assertThat(answer.status()).isEqualTo(200);
    return answer.body();
  }

  /** Until nothing is written behind what was answered. */
  private void awaitPictures() {
    long giveUp = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
    while (app.get("/api/journeys").body().toString().contains("\"sketch\":null")) {
      assertThat(System.nanoTime()).as("a minute is enough").isLessThan(giveUp);
    }
  }

  @Test
  void itStartsOnAFullDiskAndReads() throws IOException {
    start();
    begin();
    application.close();
    disk.fillUpTo(0);
    start();
    assertKept();
    assertThat(save().status()).isEqualTo(507);
    assertHealth(503, "full");
    disk.makeRoom();
    assertThat(save().status()).isEqualTo(200);
  }

  @Test
  void aFolderThatCannotBeWrittenIsRefusedInASentence() throws IOException {
    start();
    begin();
    application.close();
    disk.readOnly();
    assertThatThrownBy(this::start)
        .hasStackTraceContaining("cannot be written (read-only file system)")
        .hasStackTraceContaining("choose another with --data");
  }

  /** A disk that fails while it is open is told by the database so. */
  @Test
  void aDiskThatFailsIsUnderstood() {
    MVStoreException writing =
        new MVStoreException(DataUtils.ERROR_WRITING_FAILED, "Writing failed");
    writing.initCause(new IOException("Read-only file system"));
    assertThat(StorageTrouble.in(new RuntimeException(writing)))
        .hasValue(StorageTrouble.Kind.NOT_WRITABLE);
    SQLException closed = new SQLException("closed", "90098", ErrorCode.DATABASE_IS_CLOSED);
    assertThat(StorageTrouble.in(new RuntimeException(closed)))
        .hasValue(StorageTrouble.Kind.REOPENING);
    closed.initCause(writing);
    assertThat(StorageTrouble.in(new RuntimeException(closed)))
        .as("a database is closed for a reason")
        .hasValue(StorageTrouble.Kind.NOT_WRITABLE);
  }

  @Test
  void aFolderWithoutRoomIsRefusedInASentence() throws IOException {
    disk.fillUpTo(8_192);
    Path folder = disk.path().resolve("data");
    assertThatThrownBy(() -> RunningApplication.start(folder))
        .hasStackTraceContaining("There is not enough room on the disk");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "No space left on device",
        "Disk quota exceeded",
        "There is not enough space on the disk",
        "File too large"
      })
  void whatOperatingSystemsSayOfAFullDiskIsUnderstood(String words) {
    assertThat(StorageTrouble.in(new RuntimeException(new IOException(words))))
        .hasValue(StorageTrouble.Kind.DISK_FULL);
    assertThat(StorageTrouble.words(new FileSystemException("a", null, words))).isNotBlank();
    assertThat(StorageTrouble.in(new RuntimeException("No space left"))).isEmpty();
  }
}
