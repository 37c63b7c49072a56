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

/** A line to the mail server, over which one message after the other is written and handed over. */
final class MailLine {
  /** A connection is renewed after so many messages, as servers wish. */
  private static final int MOST_OVER_ONE = 500;

  private final Composing composing;
  private final Smtp smtp;
  private final PhoneLine phone;
  private Smtp.@Nullable Connection connection;
  private int used;

  MailLine(Composing composing, Smtp smtp, PhoneLine phone) {
    this.composing = composing;
    this.smtp = smtp;
    this.phone = phone;
  }

  /** What was handed over, and what came of it. */
  record Handed(OutboxRow row, Handover outcome) {}

  /** Hands some over, in order. Once the server does not answer, the others are not tried. */
  List<Handed> handOver(List<OutboxRow> rows) {
    if (rows.isEmpty()) {
      return List.of();
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
    return handed;
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
