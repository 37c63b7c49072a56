package org.opentrellis.core.reading;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.NamesIn;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Way;
import org.opentrellis.core.sentence.Phrase;
import org.opentrellis.core.sentence.RunSheet;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.sentence.Style;

/** What a text came to: the journey after it, what is new in it, and what it needs. */
final class Outcome {
  /** What the kinds of names are called that begin to exist by being used. */
  private static final Map<Class<? extends Name>, String> KINDS =
      Map.of(
          TagName.class, "tag",
          ListName.class, "list",
          FormName.class, "form",
          SegmentName.class, "segment",
          FieldName.class, "field",
          EventName.class, "event",
          ProductName.class, "product",
          CategoryName.class, "category");

  private final Draft draft;
  private final KnownNames known;

  Outcome(Draft draft, KnownNames known) {
    this.draft = draft;
    this.known = known;
  }

  Reading.Understood understood() {
    Journey after = draft.journey();
    return new Reading.Understood(
        after, draft.selected(), draft.below(), sentences(after), written(after), news(after));
  }

  private List<Phrase> sentences(Journey after) {
    Catalogue catalogue = draft.written().catalogue();
    Sentences sentences = new Sentences(after, catalogue);
    List<Phrase> said = new ArrayList<>();
    for (String row : draft.rows()) {
      draft
          .step(row)
          .map(sentences::step)
          .or(() -> arm(sentences, after, row))
          .or(() -> line(after, catalogue, row))
          .ifPresent(said::add);
    }
    return said;
  }

  private static Optional<Phrase> line(Journey after, Catalogue catalogue, String row) {
    return RunSheet.of(after, catalogue)
        .lines()
        .filter(line -> line.id().equals(row))
        .findFirst()
        .map(RunSheet.Line::sentence);
  }

  private static Optional<Phrase> arm(Sentences sentences, Journey after, String row) {
    return after
        .steps()
        .filter(step -> step.ways().stream().map(Way::id).anyMatch(id -> id.value().equals(row)))
        .findFirst()
        .map(Step.Parting.class::cast)
        .map(step -> sentences.way(step, new StepId(row)));
  }

  /** Those of the messages brought along that the journey still sends. */
  private List<Message> written(Journey after) {
    if (draft.written().added().isEmpty()) {
      return List.of();
    }
    Set<String> used = NamesIn.of(List.of(after)).map(Name::value).collect(Collectors.toSet());
    return draft.written().added().stream()
        .filter(message -> used.contains(message.id().value()))
        .toList();
  }

  /** What kind of thing a name is of; empty for those that do not begin to exist by being used. */
  static Optional<String> kindOf(Name name) {
    return Optional.ofNullable(KINDS.get(name.getClass()));
  }

  private List<String> news(Journey after) {
    Set<String> news = new LinkedHashSet<>();
    NamesIn.of(List.of(after))
        .filter(name -> KINDS.containsKey(name.getClass()))
        .filter(name -> !known.has(name))
        .forEach(
            name ->
                news.add(
                    "new %s %s".formatted(KINDS.get(name.getClass()), Style.quoted(name.value()))));
    return List.copyOf(news);
  }
}
