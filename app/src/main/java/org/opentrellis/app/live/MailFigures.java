package org.opentrellis.app.live;

import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What became of the messages that a journey has sent, step by step. */
@Component
@Transactional(readOnly = true)
public class MailFigures {
  private final HappeningMapper log;
  private final OutboxMapper outbox;

  MailFigures(HappeningMapper log, OutboxMapper outbox) {
    this.log = log;
    this.outbox = outbox;
  }

  /**
   * How many people got a step's message, and what they did with it; each counts once.
   *
   * @param sent to whom it went out
   * @param opened whose mail program loaded its picture, whoever made it do so, or who clicked
   * @param unsubscribed by its link
   */
  public record OfStep(
      long sent, long delivered, long bounced, long opened, long clicked, long unsubscribed) {
    public static final OfStep NOTHING = new OfStep(0, 0, 0, 0, 0, 0);
  }

  /** By step, up to a moment; only steps that have sent something by then. */
  public Map<String, OfStep> of(long journey, long upTo) {
    Map<String, OfStep> figures = new TreeMap<>();
    outbox
        .sentBy(journey, upTo)
        .forEach(row -> figures.put(row.step(), new OfStep(row.people(), 0, 0, 0, 0, 0)));
    log.figures(journey, upTo)
        .forEach(
            row ->
                figures.computeIfPresent(
                    row.step(),
                    (step, of) ->
                        new OfStep(
                            of.sent(),
                            row.delivered(),
                            row.bounced(),
                            row.opened(),
                            row.clicked(),
                            row.unsubscribed())));
    return figures;
  }

  /** How many messages of a journey have not been handed over yet. */
  public long waiting(long journey) {
    return outbox.waitingOf(journey);
  }

  /** How many emails have gone out from a moment on. */
  public long emailsSince(long moment) {
    return outbox.emailsSince(moment);
  }
}
