package org.opentrellis.app.computing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.RunCancelled;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Nothing is computed without bound, twice, or where somebody else has to wait for it. */
@Timeout(30)
class ComputingRoomTest {
  private final ComputingRoom room = new ComputingRoom();
  private final CountDownLatch gate = new CountDownLatch(1);

  @AfterEach
  void close() {
    gate.countDown();
    room.close();
  }

  /** Goes on only when the gate is opened, or when it is stopped. */
  private int untilOpened(Effort effort) {
    try {
      while (!gate.await(5, TimeUnit.MILLISECONDS)) {
        effort.control().reached(1);
      }
      return 1;
    } catch (InterruptedException stopped) {
      throw new RunCancelled();
    }
  }

  private List<Task<Integer>> fill(Lane lane) {
    List<Task<Integer>> tasks = new ArrayList<>();
    Task<Integer> first = room.begin(lane, this::untilOpened);
    await(() -> first.state() == Task.State.RUNNING);
    tasks.add(first);
    for (int i = 0; i < ComputingRoom.LONGEST_QUEUE; i++) {
      tasks.add(room.begin(lane, this::untilOpened));
    }
    return tasks;
  }

  private static void await(java.util.function.BooleanSupplier what) {
    while (!what.getAsBoolean()) {
      Thread.onSpinWait();
    }
  }

  @Test
  void aQueueHasAnEndAndWhatIsSmallerGoesOnAllTheSame() {
    fill(Lane.LARGE);
    assertThatThrownBy(() -> room.begin(Lane.LARGE, effort -> 1))
        .isInstanceOf(Refusal.class)
        .hasMessageStartingWith("20 computations are waiting already.");
    assertThat(room.begin(Lane.USUAL, effort -> 2).result()).succeedsWithin(2, TimeUnit.SECONDS);
    assertThat(room.begin(Lane.QUICK, effort -> 3).result()).succeedsWithin(2, TimeUnit.SECONDS);
  }

  @Test
  void eachCanBeStoppedAndOneThatWaitedMakesRoom() {
    List<Task<Integer>> tasks = fill(Lane.USUAL);
    Task<Integer> waiting = tasks.get(7);
    assertThat(waiting.state()).isEqualTo(Task.State.QUEUED);
    room.stop(waiting);
    assertThat(waiting.state()).isEqualTo(Task.State.CANCELLED);
    tasks.add(room.begin(Lane.USUAL, this::untilOpened));
    Task<Integer> running = tasks.get(0);
    room.stop(running);
    await(() -> running.state() == Task.State.CANCELLED);
    tasks.forEach(room::stop);
    tasks.forEach(task -> await(() -> task.state() == Task.State.CANCELLED));
    assertThat(room.begin(Lane.USUAL, effort -> 4).result()).succeedsWithin(2, TimeUnit.SECONDS);
    room.stop(waiting);
    assertThat(waiting.state()).isEqualTo(Task.State.CANCELLED);
  }

  @Test
  void anErrorEndsOneComputationAndNotTheNext() {
    Task<Integer> failing =
        room.begin(
            Lane.USUAL,
            effort -> {
              throw new OutOfMemoryError("for a test");
            });
    await(() -> failing.state().isOver());
    assertThat(failing.state()).isEqualTo(Task.State.FAILED);
    assertThat(room.begin(Lane.USUAL, effort -> 5).result()).succeedsWithin(2, TimeUnit.SECONDS);
  }

  @Test
  void whatIsAskedTwiceIsComputedOnce() {
    AtomicInteger times = new AtomicInteger();
    List<CompletableFuture<Integer>> asked = new ArrayList<>();
    for (int i = 0; i < 50; i++) {
      asked.add(
          room.compute(
              List.of("the same"),
              Lane.QUICK,
              effort -> {
                untilOpened(effort);
                return times.incrementAndGet();
              }));
    }
    gate.countDown();
    assertThat(asked).allSatisfy(one -> assertThat(one.join()).isEqualTo(1));
    assertThat(room.compute(List.of("the same"), Lane.QUICK, effort -> -1).join()).isEqualTo(1);
    assertThat(room.compute(List.of("another"), Lane.QUICK, effort -> -1).join()).isEqualTo(-1);
  }

  @Test
  void whatFailedIsComputedAgain() {
    CompletableFuture<Integer> failed =
        room.compute(
            "key",
            Lane.QUICK,
            effort -> {
              throw new IllegalStateException("for a test");
            });
    assertThatThrownBy(failed::join).isInstanceOf(CompletionException.class);
    await(() -> !room.compute("key", Lane.QUICK, effort -> 6).isCompletedExceptionally());
    assertThat(room.compute("key", Lane.QUICK, effort -> 7).join()).isEqualTo(6);
  }

  @Test
  void nothingIsComputedWhileATransactionIsOpen() {
    TransactionSynchronizationManager.setActualTransactionActive(true);
    try {
      assertThatThrownBy(() -> room.begin(Lane.QUICK, effort -> 1))
          .isInstanceOf(IllegalStateException.class);
    } finally {
      TransactionSynchronizationManager.setActualTransactionActive(false);
    }
  }
}
