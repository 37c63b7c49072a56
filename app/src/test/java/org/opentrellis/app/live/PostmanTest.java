package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import jakarta.mail.MessagingException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.InOrder;
import org.opentrellis.app.letters.Smtp;
import org.opentrellis.mail.Letter;

/** What is handed over is noted, each once, whatever becomes of the others. */
class PostmanTest {
  private static final long NOW = 1_000_000;

  private final Outbox outbox = mock(Outbox.class);
  private final Composing composing = mock(Composing.class);
  private final Smtp smtp = mock(Smtp.class);
  private final TwoHands hands = new TwoHands();
  private final Postman postman =
      new Postman(outbox, composing, smtp, mock(PhoneLine.class), hands);
  private final List<MailLine.Handed> noted = new ArrayList<>();
  private final List<String> sent = Collections.synchronizedList(new ArrayList<>());

  @BeforeEach
  void noteWhatIsHandedOver() {
    doAnswer(
            call -> {
              noted.addAll(call.getArgument(0));
              return null;
            })
        .when(outbox)
        .note(any());
  }

  @AfterEach
  void rest() {
    hands.destroy();
  }

  private static OutboxRow row(long id, long person) {
    return new OutboxRow(
        id,
        person,
        1,
        1,
        0,
        "step-" + id,
        null,
        "message",
        OutboxRow.Channel.EMAIL,
        NOW,
        OutboxRow.State.ON_ITS_WAY,
        1,
        NOW,
        null,
        null,
        false);
  }

  /** Two messages for each person, one after the other. */
  private List<OutboxRow> due(int people) {
    List<OutboxRow> rows =
        LongStream.range(0, 2L * people).mapToObj(id -> row(id, id % people)).toList();
    when(outbox.claim(anyLong(), anyInt())).thenReturn(rows);
    return rows;
  }

  /** Each row's letter is called by its number. */
  private void written(Map<Long, Composing.Composed> otherwise) {
    when(composing.emails(any()))
        .thenAnswer(
            call -> {
              Map<Long, Composing.Composed> all = new HashMap<>();
              for (OutboxRow row : call.<List<OutboxRow>>getArgument(0)) {
                Letter letter = mock(Letter.class);
                when(letter.messageId()).thenReturn(Long.toString(row.id()));
                all.put(row.id(), new Composing.Composed(letter, "", false));
              }
              all.replaceAll((id, mail) -> otherwise.getOrDefault(id, mail));
              return all;
            });
  }

  private Smtp.Connection takesAll() throws MessagingException {
    Smtp.Connection connection = mock(Smtp.Connection.class);
    when(connection.send(any()))
        .thenAnswer(
            call -> {
              sent.add(call.<Letter>getArgument(0).messageId());
              return null;
            });
    when(smtp.connect()).thenReturn(connection);
    return connection;
  }

  private List<Handover.Result> results() {
    return noted.stream().map(one -> one.outcome().result()).distinct().toList();
  }

  @Test
  void overTwoLinesEachGoesOutOnceAndOnePersonsInOrder() throws MessagingException {
    List<OutboxRow> rows = due(30);
    written(Map.of());
    takesAll();
    assertThat(postman.round(NOW)).isEqualTo(60);
    assertThat(sent).hasSize(60).doesNotHaveDuplicates();
    for (int person = 0; person < 30; person++) {
      assertThat(sent.indexOf(Integer.toString(person)))
          .isLessThan(sent.indexOf(Integer.toString(person + 30)));
    }
    assertThat(noted).extracting(MailLine.Handed::row).isEqualTo(rows);
    assertThat(results()).containsExactly(Handover.Result.TAKEN);
    verify(smtp, times(2)).connect();
  }

  /** The stand-in has what it took on the disk before anybody notes that it took it. */
  @Test
  void whatTheServerTookIsSettledBeforeItIsNoted() throws MessagingException {
    due(2);
    written(Map.of());
    takesAll();
    postman.round(NOW);
    InOrder order = inOrder(smtp, outbox);
    order.verify(smtp).settle();
    order.verify(outbox).note(any());
  }

  @Test
  void aServerThatDoesNotAnswerIsAskedOnceOverEachLine() throws MessagingException {
    due(30);
    written(Map.of());
    when(smtp.connect()).thenThrow(new MessagingException("no answer"));
    postman.round(NOW);
    verify(smtp, times(2)).connect();
    assertThat(noted).hasSize(60);
    assertThat(results()).containsExactly(Handover.Result.NO_ANSWER);
  }

  @Test
  void whatCannotBeWrittenKeepsNothingElseFromGoingOut() throws MessagingException {
    due(3);
    written(
        Map.of(
            0L, new Composing.Composed(null, "no sender", false),
            1L, new Composing.Composed(null, "The message has a fault: a hole", true)));
    takesAll();
    postman.round(NOW);
    assertThat(sent).containsExactly("2", "3", "4", "5");
    assertThat(noted.get(0).outcome().result()).isEqualTo(Handover.Result.REFUSED);
    assertThat(noted.get(1).outcome().result()).isEqualTo(Handover.Result.LATER);
  }

  /** Their turn has failed, not the mail, which went out. */
  @Test
  void ifNotingFailsForOneTheOthersAreNotedAllTheSame() throws MessagingException {
    due(3);
    written(Map.of());
    takesAll();
    doAnswer(
            call -> {
              List<MailLine.Handed> some = call.getArgument(0);
              if (some.stream().anyMatch(one -> one.row().id() == 4)) {
                throw new IllegalStateException("a turn that fails");
              }
              noted.addAll(some);
              return null;
            })
        .when(outbox)
        .note(any());
    postman.round(NOW);
    assertThat(noted).extracting(one -> one.row().id()).containsExactly(0L, 1L, 2L, 3L, 5L);
    verify(outbox).noteApart(any(), any());
  }

  /** The server keeps its connection for itself after a refusal, or breaks it off. */
  @Test
  void afterATroubleTheNextGoesOverANewConnection() throws MessagingException {
    due(1);
    written(Map.of());
    Smtp.Connection connection = takesAll();
    doThrow(new MessagingException("451 later")).doReturn(null).when(connection).send(any());
    postman.round(NOW);
    assertThat(noted)
        .extracting(one -> one.outcome().result())
        .containsExactly(Handover.Result.LATER, Handover.Result.TAKEN);
    verify(smtp, times(2)).connect();
  }
}
