package org.opentrellis.app.journeys;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.StrandId;
import org.opentrellis.core.journey.Strands;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where a message is sent. */
@RestController
@RequestMapping("/api/messages")
@Transactional(readOnly = true)
class MessageUses {
  private final JourneyIndex index;
  private final JourneyMapper journeys;
  private final CardMapper cards;
  private final Catalogues catalogues;

  MessageUses(JourneyIndex index, JourneyMapper journeys, CardMapper cards, Catalogues catalogues) {
    this.index = index;
    this.journeys = journeys;
    this.cards = cards;
    this.catalogues = catalogues;
  }

  /**
   * A step that sends it.
   *
   * @param kind whether it is a journey's or a newsletter's
   */
  record MessageUse(long journey, JourneyKind kind, String name, String step) {}

  /** Every step of a journey that is not archived, those of strands too. */
  @GetMapping("/{id}/uses")
  List<MessageUse> listUses(@PathVariable String id) {
    MessageId message = new MessageId(id);
    return index.using(catalogues.current().usersOf(message)).stream()
        .flatMap(journey -> uses(journey, message))
        .toList();
  }

  /**
   * A journey that sends a message, itself or in a strand; or a strand that does.
   *
   * @param journey its number; null for a strand
   * @param strand its id; null for a journey
   * @param open whether it is an open journey
   * @param kind whether it is a journey or a newsletter; null for a strand
   */
  record MessageUser(
      String message,
      @Nullable Long journey,
      @Nullable String strand,
      String name,
      boolean open,
      @Nullable JourneyKind kind) {}

  /** Which journeys and strands send which messages; journeys that are archived send none. */
  @GetMapping("/uses")
  List<MessageUser> listMessageUsers() {
    Catalogue catalogue = catalogues.current();
    Set<Long> open = Set.copyOf(cards.open());
    return catalogue.messages().stream()
        .flatMap(message -> users(message.id(), catalogue, open))
        .toList();
  }

  private Stream<MessageUser> users(MessageId message, Catalogue catalogue, Set<Long> open) {
    List<Name> names = catalogue.usersOf(message);
    Stream<MessageUser> sending =
        index.current().stream()
            .filter(fact -> names.stream().anyMatch(fact.names()::has))
            .map(
                fact ->
                    new MessageUser(
                        message.value(),
                        fact.id(),
                        null,
                        fact.name(),
                        open.contains(fact.id()),
                        fact.kind()));
    Stream<MessageUser> strands =
        names.stream()
            .filter(StrandId.class::isInstance)
            .flatMap(name -> catalogue.strand((StrandId) name).stream())
            .map(
                strand ->
                    new MessageUser(
                        message.value(), null, strand.id().value(), strand.name(), false, null));
    return Stream.concat(sending, strands);
  }

  private Stream<MessageUse> uses(long id, MessageId message) {
    KeptJourney kept = KeptJourney.of(journeys.find(id), id, catalogues.current());
    if (kept.archived()) {
      return Stream.empty();
    }
    Journey whole = Strands.expand(kept.journey(), catalogues.current());
    return whole.sends().stream()
        .filter(
            send ->
                send.message().equals(message)
                    || send.versions().stream().anyMatch(one -> one.message().equals(message)))
        .map(send -> new MessageUse(id, kept.kind(), whole.name(), send.id().value()));
  }
}
