package org.opentrellis.core.happening;

import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;

/**
 * Something that really happened to a person, outside of the machine. Names are those of journeys,
 * never positions in something compiled. Two that are equal are one and the same.
 */
public sealed interface Happening
    permits Happening.Joined,
        Happening.LeftList,
        Happening.Tagged,
        Happening.Untagged,
        Happening.FieldChanged,
        Happening.FormSubmitted,
        Happening.Moved,
        Happening.CartChanged,
        Happening.Ordered,
        Happening.EventArrived,
        Happening.ConsentGiven,
        Happening.ConsentWithdrawn,
        Happening.Complained,
        Happening.Erased,
        Happening.OfMessage,
        Happening.Came,
        Happening.PutIn,
        Happening.TakenOut,
        Happening.PutForward,
        Happening.Published,
        Happening.Closed,
        Happening.Stopped {

  /** When it happened, in epoch seconds; it may become known later. */
  long at();

  record Joined(long at, ListName list) implements Happening {}

  record LeftList(long at, ListName list) implements Happening {}

  record Tagged(long at, TagName tag) implements Happening {}

  record Untagged(long at, TagName tag) implements Happening {}

  /**
   * @param value what it holds now; empty if it was cleared
   */
  record FieldChanged(long at, FieldName field, Optional<Operand> value) implements Happening {}

  /**
   * @param values what was filled in; other fields stay as they are
   */
  record FormSubmitted(long at, FormName form, Map<FieldName, Operand> values)
      implements Happening {
    public FormSubmitted {
      values = Map.copyOf(values);
    }
  }

  /**
   * @param zone they are at home in from now on
   */
  record Moved(long at, ZoneId zone) implements Happening {}

  /**
   * What lies in the cart now.
   *
   * @param lines none if it was emptied
   */
  record CartChanged(long at, List<Line> lines) implements Happening {
    public CartChanged {
      lines = List.copyOf(lines);
    }
  }

  /**
   * @param order its number in the shop
   * @param lines none if it is not known what was bought
   * @param total what was paid
   * @param becauseOf the message whose link led there, if any did
   */
  record Ordered(
      long at, String order, List<Line> lines, Money total, Optional<MessageRef> becauseOf)
      implements Happening {
    public Ordered {
      lines = List.copyOf(lines);
    }
  }

  /**
   * @param id tells it from others of its name
   * @param payload what it says about itself
   */
  record EventArrived(long at, String id, EventName event, Map<AttributeName, Operand> payload)
      implements Happening {
    public EventArrived {
      payload = Map.copyOf(payload);
    }
  }

  /** The person wants mail, or texts; after having been lost they are back by their own act. */
  record ConsentGiven(long at, Channel channel) implements Happening {}

  /**
   * The person unsubscribed, or wants no more texts.
   *
   * @param becauseOf the message that they did it from, if it is known
   */
  record ConsentWithdrawn(long at, Channel channel, Optional<MessageRef> becauseOf)
      implements Happening {}

  record Complained(long at) implements Happening {}

  record Erased(long at) implements Happening {}

  /** What became of a message. */
  sealed interface OfMessage extends Happening
      permits Delivered, Bounced, OpenRecorded, Opened, Clicked {
    MessageRef message();
  }

  record Delivered(long at, MessageRef message) implements OfMessage {}

  /**
   * @param forGood whether the address is dead
   */
  record Bounced(long at, MessageRef message, boolean forGood) implements OfMessage {}

  /** The mail program loaded the pictures, whoever made it do so. */
  record OpenRecorded(long at, MessageRef message) implements OfMessage {}

  /** A person read it. */
  record Opened(long at, MessageRef message) implements OfMessage {}

  /**
   * @param link empty if it is not known
   */
  record Clicked(long at, MessageRef message, Optional<LinkName> link) implements OfMessage {}

  /**
   * Something brought the person to a journey that no other happening tells of, such as a date.
   *
   * @param by the trigger of the journey that it is
   */
  record Came(long at, JourneyName journey, Trigger by) implements Happening {}

  /** Somebody put the person into a journey by hand, or an import did. */
  record PutIn(long at, JourneyName journey) implements Happening {}

  /** Somebody took the person out of a journey by hand. */
  record TakenOut(long at, JourneyName journey) implements Happening {}

  /** Somebody had the person go on from where they waited in a journey, by hand. */
  record PutForward(long at, JourneyName journey) implements Happening {}

  /**
   * A version of a journey was opened: people enter it from now on.
   *
   * @param version greater than those before it
   * @param takesAlong whether those inside go on with it, or finish on the plan that they began
   */
  record Published(long at, Journey journey, int version, boolean takesAlong)
      implements Happening {}

  /** Nobody new enters; those inside go on to the end. */
  record Closed(long at, JourneyName journey) implements Happening {}

  /** Nobody enters, and those inside leave now. */
  record Stopped(long at, JourneyName journey) implements Happening {}
}
