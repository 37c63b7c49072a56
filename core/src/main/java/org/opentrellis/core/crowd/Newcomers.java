package org.opentrellis.core.crowd;

import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.FieldGuess;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;

/**
 * People whom nobody knew before they filled in a form: their record says what the form asks and
 * gives, and nothing else.
 *
 * @param form its name
 * @param asks the fields that it asks
 * @param labels the tags and lists that it gives
 * @param confirms whether they confirm by a link in a mail, so that their address works
 * @param zone where they are taken to be at home
 */
public record Newcomers(
    FormName form, Set<FieldName> asks, Set<Name> labels, boolean confirms, ZoneId zone) {
  public Newcomers {
    asks = Set.copyOf(asks);
    labels = Set.copyOf(labels);
  }

  /** How they behave, if others of whom more is known behave so. */
  public Behaviour behaving(Behaviour others) {
    return others.edit().groups(others.groups().stream().map(this::group).toList()).done();
  }

  private AudienceGroup group(AudienceGroup group) {
    Map<FieldName, FieldGuess> fields = new HashMap<>(group.fields());
    fields.keySet().retainAll(asks);
    fields
        .values()
        .removeIf(
            guess -> guess instanceof FieldGuess.WithField tie && !asks.contains(tie.other()));
    Assumed none = Assumed.typical(0);
    return group
        .edit()
        .zone(zone)
        .fields(fields)
        .tags(of(TagName.class))
        .lists(of(ListName.class))
        .textConsent(none)
        .hardBounce(confirms ? none : group.hardBounce())
        .done();
  }

  private <N extends Name> Set<N> of(Class<N> kind) {
    return labels.stream().filter(kind::isInstance).map(kind::cast).collect(Collectors.toSet());
  }

  /** A journey with those of its triggers by which they can come in; perhaps none. */
  public Journey entering(Journey journey) {
    return journey.edit().triggers(doors(journey)).done();
  }

  private List<Trigger> doors(Journey journey) {
    return journey.triggers().stream().filter(this::leadsIn).toList();
  }

  /** Whether they come in by a trigger, since they submit the form or by what they do then. */
  public boolean leadsIn(Trigger trigger) {
    return switch (trigger) {
      case Trigger.JoinsList joins -> labels.contains(joins.list());
      case Trigger.GetsTag gets -> labels.contains(gets.tag());
      case Trigger.SubmitsForm submits -> submits.form().map(form::equals).orElse(true);
      case Trigger.DateComes comes -> asks.contains(comes.field());
      case Trigger.OnDate on -> true;
      case Trigger.LeavesCart leaves -> true;
      case Trigger.Buys buys -> true;
      case Trigger.EventArrives arrives -> true;
      case Trigger.EntersSegment enters -> false;
      case Trigger.OpensMessage opens -> false;
      case Trigger.ClicksMessage clicks -> false;
      case Trigger.HandedOver over -> false;
      case Trigger.PutIn in -> false;
    };
  }
}
