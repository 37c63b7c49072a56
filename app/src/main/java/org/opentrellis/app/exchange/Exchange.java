package org.opentrellis.app.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.http.FreeName;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.JourneyFile;
import org.opentrellis.core.format.JourneyPacker;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.sentence.Markdown;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes journeys out as files and brings files in. */
@Service
@Transactional
class Exchange {
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final MessageLibrary messages;

  Exchange(Journeys journeys, Catalogues catalogues, MessageLibrary messages) {
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.messages = messages;
  }

  /** A file's name without its ending, from what a journey is called. */
  String fileName(long id) {
    String name = journeys.find(id).journey().name();
    String plain = name.replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "");
    return plain.isEmpty() ? "journey" : plain;
  }

  String file(long id) {
    KeptJourney kept = journeys.find(id);
    return Documents.writeFile(
        JourneyPacker.pack(
            kept.journey(),
            catalogues.current(),
            message -> messages.find(message).map(Written::manuscript),
            kept.behaviour()));
  }

  String markdown(long id) {
    return Markdown.of(journeys.find(id).journey(), catalogues.current());
  }

  /**
   * Says what a file brings, and brings it in if that is ordered.
   *
   * @throws ProblemsFound if the file is not a journey file
   */
  @AgainIfTaken
  ImportView bringIn(ImportOrder order) {
    JourneyFile file = Documents.readFile(order.text());
    Catalogue here = catalogues.current();
    List<String> adds = new ArrayList<>();
    List<ImportView.Clash> clashes = new ArrayList<>();
    for (Message one : file.messages()) {
      compare(
          "message",
          one.id().value(),
          one.name(),
          saying(one, Optional.ofNullable(file.manuscripts().get(one.id()))),
          here.message(one.id())
              .map(
                  ours ->
                      saying(
                          ours,
                          file.manuscripts().containsKey(one.id())
                              ? messages.find(one.id()).map(Written::manuscript)
                              : Optional.empty())),
          adds,
          clashes);
      renamed(one, here).ifPresent(adds::add);
    }
    for (Strand one : file.strands()) {
      compare(
          "strand", one.id().value(), one.id().value(), one, here.strand(one.id()), adds, clashes);
    }
    for (Segment one : file.segments()) {
      compare(
          "segment",
          one.name().value(),
          one.name().value(),
          one,
          here.segment(one.name()),
          adds,
          clashes);
    }
    String name = journeys.freeName(file.journey().name());
    String note =
        name.equals(file.journey().name())
            ? null
            : "There is a journey \u201c%s\u201d already, so this one gets another name."
                .formatted(file.journey().name());
    Journey journey = file.journey().edit().name(name).state(JourneyState.DRAFT).done();
    Long id = null;
    if (order.keep()) {
      keepParts(file, here, order);
      id = journeys.add(journey, file.behaviour().orElseGet(journeys::usual), null);
    }
    return new ImportView(name, note, RunSheet.of(journey, file.catalogue()), adds, clashes, id);
  }

  /** A new message that is called like another here gets a number behind its name. */
  private static Optional<String> renamed(Message one, Catalogue here) {
    List<String> taken = here.messages().stream().map(Message::name).toList();
    String name = FreeName.of(one.name(), taken);
    return here.message(one.id()).isPresent() || name.equals(one.name())
        ? Optional.empty()
        : Optional.of(
            "Another message is called \u201c%s\u201d, so this one gets the name \u201c%s\u201d."
                .formatted(one.name(), name));
  }

  /** A message with all that it says, to be compared. */
  private record Saying(Message message, Optional<Manuscript> manuscript) {}

  private static Saying saying(Message message, Optional<Manuscript> manuscript) {
    return new Saying(message, manuscript);
  }

  private static <T> void compare(
      String what,
      String id,
      String name,
      T theirs,
      Optional<T> ours,
      List<String> adds,
      List<ImportView.Clash> clashes) {
    if (ours.isEmpty()) {
      adds.add("The %s \u201c%s\u201d is new.".formatted(what, name));
    } else if (!ours.get().equals(theirs)) {
      clashes.add(
          new ImportView.Clash(
              key(what, id),
              "There is a %s \u201c%s\u201d here already, and the file\u2019s is not the same."
                  .formatted(what, name)));
    }
  }

  /** Two messages may be called alike, so that a clash goes by what a part is kept under. */
  private static String key(String what, String id) {
    return what + ":" + id;
  }

  private void keepParts(JourneyFile file, Catalogue here, ImportOrder order) {
    for (Message one : file.messages()) {
      Optional<Manuscript> written = Optional.ofNullable(file.manuscripts().get(one.id()));
      if (here.message(one.id()).isEmpty()) {
        written.ifPresentOrElse(
            manuscript ->
                messages.keep(new Written(one.id(), one.name(), List.of(), manuscript, null)),
            () -> messages.keep(one));
      } else if (order.overwrite().contains(key("message", one.id().value()))) {
        written.ifPresentOrElse(
            manuscript -> messages.replace(one.id(), one.name(), manuscript),
            () -> messages.replace(one));
      }
    }
    keepShared(
        file.strands(),
        one -> here.strand(one.id()).isEmpty(),
        one -> key("strand", one.id().value()),
        catalogues::replace,
        order);
    keepShared(
        file.segments(),
        one -> here.segment(one.name()).isEmpty(),
        one -> key("segment", one.name().value()),
        catalogues::replace,
        order);
  }

  private static <T> void keepShared(
      List<T> parts,
      Function<T, Boolean> isNew,
      Function<T, String> key,
      java.util.function.Consumer<T> keep,
      ImportOrder order) {
    parts.stream()
        .filter(one -> isNew.apply(one) || order.overwrite().contains(key.apply(one)))
        .forEach(keep);
  }
}
