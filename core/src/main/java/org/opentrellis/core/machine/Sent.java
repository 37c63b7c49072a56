package org.opentrellis.core.machine;

import java.util.List;
import org.opentrellis.core.journey.LinkName;

/**
 * One message of a visit, and what became of it. Times are epoch seconds; {@link Person#NEVER}
 * means that it has not happened and is not known to happen. Evidence may lie ahead.
 *
 * <p>Mutable and reused from person to person, for speed.
 */
public final class Sent {
  private final Visit visit;
  private final int send;
  private final int firstVersion;
  private final boolean text;
  private final boolean tracked;
  private int variant;
  private long at;
  private long deliveredAt;
  private long bouncedAt;
  private long recordedOpenAt;
  private long peopleOpenAt;
  private long clickAt;
  private int clickedLink;
  private long orderAt;
  private long orderCents;

  Sent(Visit visit, int send) {
    this.visit = visit;
    this.send = send;
    this.firstVersion = visit.program.firstVersion(send);
    this.text = visit.program.isText(send);
    this.tracked = visit.program.tracksOpens(send);
    forget();
  }

  void forget() {
    at = Person.NEVER;
    deliveredAt = Person.NEVER;
    bouncedAt = Person.NEVER;
    recordedOpenAt = Person.NEVER;
    peopleOpenAt = Person.NEVER;
    clickAt = Person.NEVER;
    orderAt = Person.NEVER;
  }

  void goesOut(int whichVariant, long moment) {
    variant = whichVariant;
    at = moment;
  }

  /** Takes up what was put down, with no word to anybody. */
  void takesUp(int whichVariant, VisitState.Message was, List<LinkName> links) {
    goesOut(whichVariant, was.at());
    deliveredAt = was.deliveredAt();
    bouncedAt = was.bouncedAt();
    recordedOpenAt = was.recordedOpenAt();
    peopleOpenAt = was.peopleOpenAt();
    clickAt = was.clickAt();
    clickedLink = was.clickedLink().map(links::indexOf).orElse(-1);
    orderAt = was.orderAt();
    orderCents = was.orderCents();
  }

  /** The message's number among all messages. */
  int message() {
    return visit.program.message(version());
  }

  /** Notes that it arrived; the earliest counts, here and below. */
  public void delivered(long moment) {
    visit.person.learns(Evidence.MAIL, moment);
    deliveredAt = Math.min(deliveredAt, moment);
  }

  /** It came back, for this time. */
  public void bounced(long moment) {
    visit.person.learns(Evidence.MAIL, moment);
    if (moment < bouncedAt) {
      if (bouncedAt == Person.NEVER && !text) {
        visit.emailComesBack();
      }
      visit.witness.bounced(this, moment);
      bouncedAt = moment;
    }
  }

  public void recordsOpen(long moment) {
    visit.person.learns(Evidence.MAIL, moment);
    if (moment < recordedOpenAt) {
      visit.witness.openRecorded(this, moment);
      recordedOpenAt = moment;
    }
  }

  /** The person read it, which is recorded as an open too unless it is untracked. */
  public void opens(long moment) {
    Person person = visit.person;
    person.learns(Evidence.MAIL, moment);
    if (tracked && person.reactions.toMessages() && peopleOpenAt == Person.NEVER) {
      person.reactions.toOpen(person, message(), moment);
    }
    if (moment < peopleOpenAt) {
      visit.witness.opened(this, moment);
      peopleOpenAt = moment;
    }
    if (tracked && moment < recordedOpenAt) {
      visit.witness.openRecorded(this, moment);
      recordedOpenAt = moment;
    }
  }

  /**
   * Notes a click.
   *
   * @param link the link's number in its message; -1 if that is not known
   */
  public void clicks(int link, long moment) {
    Person person = visit.person;
    person.learns(Evidence.MAIL, moment);
    if (person.reactions.toMessages()) {
      person.reactions.toClick(person, message(), link, moment);
    }
    if (moment < clickAt) {
      visit.witness.clicked(this, link, moment);
      clickAt = moment;
      clickedLink = link;
    }
    visit.clicked(visit.program.linkSlot(send, variant, link), moment);
  }

  /** Notes a purchase that came of this message. */
  public void orders(long moment, int offer, long cents) {
    visit.witness.ordered(this, cents, moment);
    orderAt = moment;
    orderCents = cents;
    visit.person.buys(moment, offer, cents);
  }

  /** The same for an order of several products; see {@link Person#orders}. */
  public void orders(long moment, int[] offers, long cents) {
    visit.witness.ordered(this, cents, moment);
    orderAt = moment;
    orderCents = cents;
    visit.person.orders(moment, offers, cents);
  }

  /** A link's number in the message; -1 if it has none such. */
  public int numberOf(LinkName link) {
    return visit.program.messages(send).get(variant).links().indexOf(link);
  }

  /** The person unsubscribes because of this message. */
  public void unsubscribes(long moment) {
    visit.person.unsubscribes(moment);
    visit.unsubscribes(send, moment);
  }

  public Visit visit() {
    return visit;
  }

  /** Its number among the journey's sends. */
  public int send() {
    return send;
  }

  /** Whether it goes to the phone. */
  public boolean text() {
    return text;
  }

  /** Whether opens of it are recorded. */
  public boolean tracked() {
    return tracked;
  }

  /** Which variant went out; 0 if there is but one. */
  public int variant() {
    return variant;
  }

  /** Which message or variant, numbered through all sends of the journey. */
  public int version() {
    return firstVersion + variant;
  }

  /** When it went out. */
  public long at() {
    return at;
  }

  public long deliveredAt() {
    return deliveredAt;
  }

  public long bouncedAt() {
    return bouncedAt;
  }

  public long recordedOpenAt() {
    return recordedOpenAt;
  }

  public long peopleOpenAt() {
    return peopleOpenAt;
  }

  public long clickAt() {
    return clickAt;
  }

  /** The link of the first click; -1 if it is not known. Means nothing without a click. */
  public int clickedLink() {
    return clickedLink;
  }

  /** When the person ordered because of it. */
  public long orderAt() {
    return orderAt;
  }

  /** Means nothing without an order. */
  public long orderCents() {
    return orderCents;
  }
}
