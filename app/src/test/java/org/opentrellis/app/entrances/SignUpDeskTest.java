package org.opentrellis.app.entrances;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.anyList;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** Many are taken together, and one who cannot be taken keeps nobody else out. */
@Timeout(60)
class SignUpDeskTest {
  private static final EntranceRow ENTRANCE = new EntranceRow(1, "planner", "{}", 1, true);
  private static final String BAD = "bad";

  private final SignUps signUps = mock(SignUps.class);
  private final SignUpDesk desk = new SignUpDesk(signUps);
  private final List<String> kept = Collections.synchronizedList(new ArrayList<>());
  private final List<Integer> together = Collections.synchronizedList(new ArrayList<>());
  private final CountDownLatch taking = new CountDownLatch(1);
  private final CountDownLatch held = new CountDownLatch(1);

  @BeforeEach
  void open() {
    doAnswer(
            call -> {
              List<SignUps.Sent> forms = call.getArgument(0);
              taking.countDown();
              held.await(10, TimeUnit.SECONDS);
              together.add(forms.size());
              if (forms.stream().anyMatch(form -> form.number().equals(BAD))) {
                throw new IllegalStateException("cannot be taken");
              }
              forms.forEach(form -> kept.add(form.number()));
              return null;
            })
        .when(signUps)
        .take(anyList());
    desk.open();
  }

  @AfterEach
  void close() {
    desk.close();
  }

  private static SignUps.Sent form(String number) {
    return new SignUps.Sent(
        ENTRANCE, number, new Filled("a@example.com", null, null, null, false, Map.of()));
  }

  @Test
  void eachComesBackWhenTheirsIsKeptAndOnlyTheBadOneIsRefused() throws Exception {
    List<Future<?>> answers = new ArrayList<>();
    try (ExecutorService people = Executors.newVirtualThreadPerTaskExecutor()) {
      answers.add(people.submit(() -> desk.take(form("form 0"))));
      taking.await(10, TimeUnit.SECONDS);
      // While that one is being taken, the others come.
      CountDownLatch come = new CountDownLatch(39);
      for (int n = 1; n < 40; n++) {
        String number = n == 20 ? BAD : "form " + n;
        answers.add(
            people.submit(
                () -> {
                  come.countDown();
                  desk.take(form(number));
                }));
      }
      come.await(10, TimeUnit.SECONDS);
      Thread.sleep(200);
      assertThat(answers).noneMatch(Future::isDone);
      held.countDown();
    }
    assertThat(answers.stream().filter(one -> one.state() == Future.State.FAILED)).hasSize(1);
    assertThat(kept).hasSize(39).doesNotHaveDuplicates().doesNotContain(BAD);
    assertThat(together).anyMatch(many -> many > 30);
  }

  /** What is being taken when it ends is kept; what comes behind is refused, and knows it. */
  @Test
  void nobodyWaitsForeverWhenItEnds() throws Exception {
    try (ExecutorService people = Executors.newVirtualThreadPerTaskExecutor()) {
      Future<?> underWay = people.submit(() -> desk.take(form("under way")));
      Thread.sleep(100);
      Future<?> closing = people.submit(desk::close);
      Thread.sleep(100);
      held.countDown();
      closing.get(10, TimeUnit.SECONDS);
      underWay.get(10, TimeUnit.SECONDS);
    }
    assertThat(kept).containsExactly("under way");
    assertThatThrownBy(() -> desk.take(form("afterwards"))).hasMessage("the application ends");
  }
}
