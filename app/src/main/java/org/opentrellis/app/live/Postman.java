package org.opentrellis.app.live;

import jakarta.mail.MessagingException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.letters.Smtp;
import org.opentrellis.app.storage.StorageTrouble;
import org.opentrellis.mail.Letter;
import org.springframework.stereotype.Component;

/**
 * Hands over what is to be sent, some at a time, in order of time. What it hands over is noted
 * before and after; a crash in between is the only way to a second copy, which then has the same
 * Message-ID.
 */
@Component
class Postman {
  private static final int SOME = 100;

  /** A connection is renewed after so many messages, as servers wish. */
  private static final int MOST_OVER_ONE = 500;

  private final Outbox outbox;
  private final Composing composing;
  private final Smtp smtp;
  private final PhoneLine phone;

  /** Of whoever does what is due, one at a time. */
  private Smtp.@Nullable Connection connection;

  private int used;

  Postman(Outbox outbox, Composing composing, Smtp smtp, PhoneLine phone) {
    this.outbox = outbox;
    this.composing = composing;
    this.smtp = smtp;
    this.phone = phone;
  }

  /** What was handed over, and what came of it. */
  record Handed(OutboxRow row, Handover outcome) {}

  /**
   * Hands over some of what is due.
   *
   * @return how many; none if nothing is due that may go out
   */
  int round(long until) {
    List<OutboxRow> rows = outbox.claim(until, SOME);
    if (rows.isEmpty()) {
      return 0;
    }
    Map<Long, Composing.Composed> written = new HashMap<>();
    OneByOne.ifNeedBe(
        rows,
        some -> written.putAll(composing.emails(some)),
        (row, failed) -> written.put(row.id(), Composing.Composed.failed(failed)));
    List<Handed> handed = new ArrayList<>();
    @Nullable Handover silent = null;
    for (OutboxRow row : rows) {
      Composing.@Nullable Composed mail = written.get(row.id());
      boolean waits = silent != null && mail != null && mail.letter() != null;
      Handover came = waits ? silent : handOrLater(row, mail);
      silent = came.result() == Handover.Result.NO_ANSWER ? came : silent;
      handed.add(new Handed(row, came));
    }
    smtp.settle();
    // What went out is noted, whatever becomes of the turns that follow.
    OneByOne.ifNeedBe(handed, outbox::note, outbox::noteApart);
    return rows.size();
  }

  /** What went out before must be noted, whatever becomes of one. */
  private Handover handOrLater(OutboxRow row, Composing.@Nullable Composed written) {
    try {
      return hand(row, written);
    } catch (RuntimeException failed) {
      if (StorageTrouble.in(failed).isPresent()) {
        throw failed;
      }
      return Handover.failed(failed);
    }
  }

  /**
   * @param written null for a text without fault
   */
  private Handover hand(OutboxRow row, Composing.@Nullable Composed written) {
    if (written == null) {
      return phone.send(row);
    }
    Letter letter = written.letter();
    if (letter == null) {
      return written.later()
          ? new Handover(Handover.Result.LATER, false, written.refusal())
          : Handover.unwritten(written.refusal());
    }
    try {
      if (connection == null || used >= MOST_OVER_ONE) {
        hangUp();
        connection = smtp.connect();
        used = 0;
      }
    } catch (MessagingException none) {
      return Handover.noAnswer(none);
    }
    used++;
    Handover came = Handover.of(letter, connection);
    if (came.result() == Handover.Result.LATER || came.result() == Handover.Result.NO_ANSWER) {
      hangUp();
    }
    return came;
  }

  /** Nothing more is to be handed over for now. */
  void hangUp() {
    try {
      if (connection != null) {
        connection.close();
      }
    } catch (MessagingException gone) {
      // it is closed then
    } finally {
      connection = null;
    }
  }
}
