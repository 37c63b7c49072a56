package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.sentence.Library;

/**
 * What a sentence can speak of at its place.
 *
 * @param library what ids are called
 * @param known the names in use
 * @param journeys the names of the other journeys
 * @param above what is sent above the place, in order
 */
record Scope(
    Library library, KnownNames known, Collection<String> journeys, List<Step.Send> above) {

  Collection<String> names(Class<? extends Name> kind) {
    return known.of(kind);
  }

  /** The last send above of which something is true. */
  Optional<Step.Send> lastAbove(java.util.function.Predicate<Step.Send> fits) {
    List<Step.Send> backwards = new ArrayList<>(above);
    java.util.Collections.reverse(backwards);
    return backwards.stream().filter(fits).findFirst();
  }

  boolean hasLink(Step.Send send, LinkName link) {
    return messagesOf(send).stream()
        .flatMap(id -> library.catalogue().message(id).stream())
        .anyMatch(message -> message.links().contains(link));
  }

  private static List<MessageId> messagesOf(Step.Send send) {
    return send.versions().isEmpty()
        ? List.of(send.message())
        : send.versions().stream().map(Variant::message).toList();
  }

  /** The links in what is sent above. */
  List<String> linksAbove() {
    return above.stream()
        .flatMap(send -> messagesOf(send).stream())
        .flatMap(id -> library.catalogue().message(id).stream())
        .flatMap(message -> message.links().stream())
        .map(LinkName::value)
        .distinct()
        .toList();
  }

  /** Sends by a name, those above the place last to first, then the others. */
  Optional<StepId> send(String name) {
    return lastAbove(send -> isCalled(send, name))
        .or(() -> library.sends().stream().filter(send -> isCalled(send, name)).findFirst())
        .map(Step::id);
  }

  private boolean isCalled(Step.Send send, String name) {
    return library.nameOf(send).equalsIgnoreCase(name);
  }

  /** The n-th send of a name, from 1. */
  Optional<StepId> send(String name, int nth) {
    return library.sends().stream()
        .filter(send -> isCalled(send, name))
        .skip(nth - 1L)
        .findFirst()
        .map(Step::id);
  }

  /** The n-th message of a name, from 1. */
  Optional<MessageId> message(String name, int nth, boolean text) {
    return library.messages(text).stream()
        .filter(message -> message.name().equalsIgnoreCase(name))
        .skip(nth - 1L)
        .findFirst()
        .map(Message::id);
  }
}
