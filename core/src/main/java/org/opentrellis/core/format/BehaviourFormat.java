package org.opentrellis.core.format;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.Assumed;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.format.BehaviourDocument.GroupDocument;
import org.opentrellis.core.format.BehaviourDocument.ReactionDocument;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.problem.ProblemsFound;

/** Reads and writes what is assumed of people. */
public final class BehaviourFormat {
  private final Reading reading = new Reading();

  private BehaviourFormat() {}

  /**
   * @throws ProblemsFound with every problem and its place
   */
  public static Behaviour read(BehaviourDocument document) {
    return new BehaviourFormat().behaviour(document);
  }

  private Behaviour behaviour(BehaviourDocument given) {
    List<AudienceGroup> groups = reading.list("/groups", given.groups(), this::group);
    present("/openMedianHours", given.openMedianHours());
    present("/openSigma", given.openSigma());
    present("/clickMedianMinutes", given.clickMedianMinutes());
    present("/clickSigma", given.clickSigma());
    present("/buyAfterClick", given.buyAfterClick());
    present("/buyMeanHours", given.buyMeanHours());
    Optional<Reaction> usual = reaction(given.usual(), "/usual");
    Map<StepId, Reaction> emails = new HashMap<>();
    if (given.emails() == null) {
      reading.missing("/emails");
    } else {
      given.emails().forEach((id, one) -> email(id, one, emails));
    }
    reading.problems().throwIfAny();
    Optional<Behaviour> behaviour =
        reading.value(
            "/groups",
            () ->
                new Behaviour(
                    groups,
                    given.openMedianHours(),
                    given.openSigma(),
                    given.clickMedianMinutes(),
                    given.clickSigma(),
                    given.buyAfterClick(),
                    given.buyMeanHours(),
                    usual.orElseThrow(),
                    emails));
    reading.problems().throwIfAny();
    return behaviour.orElseThrow();
  }

  private void present(String place, @Nullable Object value) {
    if (value == null) {
      reading.missing(place);
    }
  }

  private void email(String id, ReactionDocument given, Map<StepId, Reaction> emails) {
    String place = "/emails/" + id.replace("~", "~0").replace("/", "~1");
    Optional<StepId> step = reading.required(place, id, StepId::new);
    Optional<Reaction> reaction = reaction(given, place);
    step.ifPresent(s -> reaction.ifPresent(r -> emails.put(s, r)));
  }

  private Optional<Reaction> reaction(@Nullable ReactionDocument given, String place) {
    if (given == null) {
      reading.missing(place);
      return Optional.empty();
    }
    if (given.pull() == null
        || given.clickGivenOpen() == null
        || given.unsubscribeGivenOpen() == null) {
      reading.missing(place + "/pull");
      return Optional.empty();
    }
    return reading.value(
        place,
        () -> new Reaction(given.pull(), given.clickGivenOpen(), given.unsubscribeGivenOpen()));
  }

  private Optional<AudienceGroup> group(GroupDocument given, String place) {
    Optional<Keenness> keenness =
        reading.value(place + "/keenness", () -> new Keenness(given.keenness(), given.spread()));
    Optional<ZoneId> zone = reading.required(place + "/zone", given.zone(), BehaviourFormat::zone);
    List<TagName> tags =
        reading.list(
            place + "/tags", given.tags(), (t, at) -> reading.value(at, () -> new TagName(t)));
    List<ListName> lists =
        reading.list(
            place + "/lists", given.lists(), (l, at) -> reading.value(at, () -> new ListName(l)));
    for (Assumed chance : chances(given)) {
      if (chance == null) {
        reading.missing(place + "/preloads");
        return Optional.empty();
      }
    }
    if (given.name() == null) {
      reading.missing(place + "/name");
      return Optional.empty();
    }
    return keenness.flatMap(
        k ->
            zone.flatMap(
                z ->
                    reading.value(
                        place,
                        () ->
                            new AudienceGroup(
                                given.name(),
                                given.share(),
                                k,
                                z,
                                given.preloads(),
                                given.hardBounce(),
                                given.softBounce(),
                                given.buysAnyway(),
                                given.comesAgain(),
                                new HashSet<>(tags),
                                new HashSet<>(lists)))));
  }

  private static List<@Nullable Assumed> chances(GroupDocument given) {
    return java.util.Arrays.asList(
        given.preloads(),
        given.hardBounce(),
        given.softBounce(),
        given.buysAnyway(),
        given.comesAgain());
  }

  private static ZoneId zone(String name) {
    try {
      return ZoneId.of(name);
    } catch (DateTimeException unknown) {
      throw new IllegalArgumentException(
          "there is no time zone " + name + "; write one like Europe/Berlin", unknown);
    }
  }

  public static BehaviourDocument write(Behaviour behaviour) {
    Map<String, ReactionDocument> emails = new java.util.TreeMap<>();
    behaviour.emails().forEach((step, reaction) -> emails.put(step.value(), write(reaction)));
    return new BehaviourDocument(
        behaviour.groups().stream().map(BehaviourFormat::write).toList(),
        behaviour.openMedianHours(),
        behaviour.openSigma(),
        behaviour.clickMedianMinutes(),
        behaviour.clickSigma(),
        behaviour.buyAfterClick(),
        behaviour.buyMeanHours(),
        write(behaviour.usual()),
        emails);
  }

  private static ReactionDocument write(Reaction reaction) {
    return new ReactionDocument(
        reaction.pull(), reaction.clickGivenOpen(), reaction.unsubscribeGivenOpen());
  }

  private static GroupDocument write(AudienceGroup group) {
    return new GroupDocument(
        group.name(),
        group.share(),
        group.keenness().mean(),
        group.keenness().spread(),
        group.zone().getId(),
        group.preloads(),
        group.hardBounce(),
        group.softBounce(),
        group.buysAnyway(),
        group.comesAgain(),
        group.tags().stream().map(TagName::value).sorted().toList(),
        group.lists().stream().map(ListName::value).sorted().toList());
  }
}
