package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.opentrellis.app.letters.Smtp;
import org.springframework.stereotype.Component;

/**
 * Hands over what is to be sent, some at a time, in order of time, over two lines: one person's
 * messages over the same one. What it hands over is noted before and after; a crash in between is
 * the only way to a second copy, which then has the same Message-ID.
 */
@Component
class Postman {
  private static final int SOME = 200;

  /** So few go over one line. */
  private static final int FEW = 10;

  private static final Comparator<MailLine.Handed> IN_ORDER =
      Comparator.<MailLine.Handed>comparingLong(one -> one.row().tryAt())
          .thenComparingLong(one -> one.row().id());

  private final Outbox outbox;
  private final Smtp smtp;
  private final TwoHands hands;

  /** Used by whoever does what is due, one at a time. */
  private final List<MailLine> lines;

  Postman(Outbox outbox, Composing composing, Smtp smtp, PhoneLine phone, TwoHands hands) {
    this.outbox = outbox;
    this.smtp = smtp;
    this.hands = hands;
    this.lines =
        List.of(new MailLine(composing, smtp, phone), new MailLine(composing, smtp, phone));
  }

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
    List<MailLine.Handed> handed =
        rows.size() < FEW ? lines.getFirst().handOver(rows) : overAllLines(rows);
    smtp.settle();
    // What went out is noted, whatever becomes of the turns that follow.
    OneByOne.ifNeedBe(handed, outbox::note, outbox::noteApart);
    return rows.size();
  }

  private List<MailLine.Handed> overAllLines(List<OutboxRow> rows) {
    List<Supplier<List<MailLine.Handed>>> works =
        IntStream.range(0, lines.size())
            .<Supplier<List<MailLine.Handed>>>mapToObj(
                n -> {
                  List<OutboxRow> some =
                      rows.stream().filter(row -> row.personId() % lines.size() == n).toList();
                  return () -> lines.get(n).handOver(some);
                })
            .toList();
    List<MailLine.Handed> handed = new ArrayList<>();
    hands.all(works).forEach(handed::addAll);
    handed.sort(IN_ORDER);
    return handed;
  }

  /** Nothing more is to be handed over for now. */
  void hangUp() {
    lines.forEach(MailLine::hangUp);
  }
}
