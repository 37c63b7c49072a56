package org.opentrellis.app.standins;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.anyList;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

/**
 * Each mail that was taken gets into its mailbox, once and in order; none is taken that might not.
 */
class MailPileTest {
  private final List<String> boxes = new ArrayList<>();
  private final Inbox inbox = mock(Inbox.class);
  private final MailPile pile = new MailPile(inbox);
  private boolean full;

  MailPileTest() {
    doAnswer(
            call -> {
              if (full) {
                throw new IllegalStateException("the disk is full");
              }
              List<InboxMapper.NewMail> some = call.getArgument(0);
              some.forEach(mail -> boxes.add(mail.address()));
              return null;
            })
        .when(inbox)
        .put(anyList());
  }

  private static InboxMapper.NewMail to(String address) {
    return new InboxMapper.NewMail(
        address, address, "", "", 0, null, OffsetDateTime.MIN, new byte[0]);
  }

  @Test
  void manyAreKeptTogetherAndInOrder() {
    pile.keep();
    verify(inbox, never()).put(anyList());
    for (int n = 0; n < 150; n++) {
      pile.add(to("a" + n));
    }
    pile.keep();
    verify(inbox).put(anyList());
    assertThat(boxes).hasSize(150).startsWith("a0", "a1").endsWith("a149");
    pile.keep();
    assertThat(boxes).hasSize(150);
  }

  @Test
  void whatCannotBeKeptIsNotLostAndNothingMoreIsTaken() {
    pile.add(to("before"));
    full = true;
    pile.now();
    assertThatThrownBy(pile::keep).hasMessage("the disk is full");
    assertThatThrownBy(() -> pile.add(to("refused"))).hasMessage("the disk is full");
    full = false;
    pile.add(to("after"));
    pile.keep();
    assertThat(boxes).containsExactly("before", "after");
  }

  @Test
  void mailMayComeOverManyConnectionsWhileItIsKept() throws Exception {
    try (ExecutorService many = Executors.newFixedThreadPool(4)) {
      List<Future<?>> all = new ArrayList<>();
      for (int thread = 0; thread < 4; thread++) {
        int number = thread;
        all.add(
            many.submit(
                () -> {
                  for (int n = 0; n < 2_000; n++) {
                    pile.add(to(number + "." + n));
                  }
                }));
      }
      while (!all.stream().allMatch(Future::isDone)) {
        pile.keep();
      }
      for (Future<?> one : all) {
        one.get();
      }
    }
    pile.keep();
    assertThat(boxes).hasSize(8_000).doesNotHaveDuplicates();
  }
}
