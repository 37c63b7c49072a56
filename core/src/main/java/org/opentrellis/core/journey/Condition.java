package org.opentrellis.core.journey;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;

/** A question about one person that has an answer at every moment. */
public sealed interface Condition
    permits Condition.AboutEmail,
        Condition.HasTag,
        Condition.HadTag,
        Condition.OnList,
        Condition.InSegment,
        Condition.Field,
        Condition.Bought,
        Condition.InCart,
        Condition.Happened,
        Condition.CameByForm,
        Condition.CameByJourney,
        Condition.CameByList,
        Condition.CameByOrder,
        Condition.IsNow,
        Condition.Combining {

  /** The conditions right inside this one; none for a plain question. */
  default List<Condition> parts() {
    return List.of();
  }

  /** This condition and all inside it. */
  default Stream<Condition> all() {
    return Stream.concat(Stream.of(this), parts().stream().flatMap(Condition::all));
  }

  /** A question about what became of emails that this journey sent. */
  sealed interface AboutEmail extends Condition
      permits Delivered, Bounced, Opened, Clicked, OftenOpened, OftenClicked {
    EmailRef email();

    /** The step that sends the email, if the question is about one step's. */
    default Optional<StepId> step() {
      return email() instanceof EmailRef.OfStep one ? Optional.of(one.step()) : Optional.empty();
    }
  }

  record Delivered(EmailRef email) implements AboutEmail {}

  /** The email came back. */
  record Bounced(EmailRef email) implements AboutEmail {}

  /**
   * The email was opened. Recorded opens include machine pre-loads unless {@code peopleOnly}.
   *
   * @param peopleOnly whether machine pre-loads are left out
   * @param within so soon after it was sent
   */
  record Opened(EmailRef email, boolean peopleOnly, Optional<Amount> within)
      implements AboutEmail {}

  /**
   * A link in the email was clicked.
   *
   * @param link the one link that counts, or empty for any
   * @param within so soon after it was sent
   */
  record Clicked(EmailRef email, Optional<LinkName> link, Optional<Amount> within)
      implements AboutEmail {}

  /**
   * Some of the last emails of this journey were opened.
   *
   * @param atLeast how many of them, 1 to {@code last}
   * @param last of how many, 2 to 50
   * @param peopleOnly whether machine pre-loads are left out
   */
  record OftenOpened(int atLeast, int last, boolean peopleOnly) implements AboutEmail {
    public OftenOpened {
      often(atLeast, last);
    }

    @Override
    public EmailRef email() {
      return new EmailRef.OfLast(last);
    }
  }

  /**
   * Some of the last emails of this journey were clicked, on whatever link.
   *
   * @param atLeast how many of them, 1 to {@code last}
   * @param last of how many, 2 to 50
   */
  record OftenClicked(int atLeast, int last) implements AboutEmail {
    public OftenClicked {
      often(atLeast, last);
    }

    @Override
    public EmailRef email() {
      return new EmailRef.OfLast(last);
    }
  }

  private static void often(int atLeast, int last) {
    Text.inRange("the number of last emails", last, 2, 50);
    Text.inRange("how many of the last emails", atLeast, 1, last);
  }

  record HasTag(TagName tag) implements Condition {}

  /** Carries the tag or has ever carried it. */
  record HadTag(TagName tag) implements Condition {}

  record OnList(ListName list) implements Condition {}

  record InSegment(SegmentName segment) implements Condition {}

  /**
   * A field of the record against a value. A field that is empty is only ever "empty".
   *
   * @param values as many as the operator compares with
   */
  record Field(FieldName field, Operator is, List<Operand> values) implements Condition {
    public Field {
      values = List.copyOf(values);
      is.requireFor(values);
    }
  }

  /**
   * @param within so long before now at the most; empty for since entry
   */
  record Bought(Purchases what, Optional<Amount> within) implements Condition {}

  /** What lies in their cart now; nothing does once it was bought. */
  record InCart(Purchases what) implements Condition {}

  /**
   * @param where what each of them must say about itself
   * @param atLeast how many times, 1 to 1000
   * @param within so long before now at the most; empty for since entry
   */
  record Happened(EventName event, List<Attribute> where, int atLeast, Optional<Amount> within)
      implements Condition {
    public Happened {
      where = List.copyOf(where);
      Text.inRange("how often an event happened", atLeast, 1, 1000);
    }
  }

  /** Entered by submitting a form. */
  record CameByForm(FormName form) implements Condition {}

  /** Was handed over by another journey. */
  record CameByJourney(JourneyName journey) implements Condition {}

  /** Entered by joining a list. */
  record CameByList(ListName list) implements Condition {}

  /** Entered by buying, and this is what was bought. */
  record CameByOrder(Purchases what) implements Condition {}

  /** It is one of some weekdays and hours, on the clock that the journey's times are read on. */
  record IsNow(SendWindow during) implements Condition {}

  /** Combines others, and asks nothing itself. */
  sealed interface Combining extends Condition permits All, Any, None {
    @Override
    List<Condition> parts();

    /** The same of other parts. */
    Combining with(List<Condition> others);
  }

  /** Every part holds; true without parts. */
  record All(List<Condition> parts) implements Combining {
    public All {
      parts = List.copyOf(parts);
    }

    @Override
    public All with(List<Condition> others) {
      return new All(others);
    }
  }

  /** At least one part holds; false without parts. */
  record Any(List<Condition> parts) implements Combining {
    public Any {
      parts = List.copyOf(parts);
    }

    @Override
    public Any with(List<Condition> others) {
      return new Any(others);
    }
  }

  /** No part holds; true without parts. */
  record None(List<Condition> parts) implements Combining {
    public None {
      parts = List.copyOf(parts);
    }

    @Override
    public None with(List<Condition> others) {
      return new None(others);
    }
  }
}
