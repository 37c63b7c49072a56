package org.opentrellis.app.entrances;

import java.time.Clock;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.people.TheirChoices;
import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.entrance.ChoicesPage;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.people.HowOften;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.MultiValueMap;

/** Readers of mail look at what is known of them, and choose. */
@Service
@Transactional
class Choosing {
  private final ChoicesKept kept;
  private final ChoicesLook look;
  private final TheirChoices people;
  private final RegisteredNames names;
  private final Clock clock;

  Choosing(
      ChoicesKept kept, ChoicesLook look, TheirChoices people, RegisteredNames names, Clock clock) {
    this.kept = kept;
    this.look = look;
    this.people = people;
    this.names = names;
    this.clock = clock;
  }

  /** Somebody's page; nothing if they were forgotten. */
  @Transactional(readOnly = true)
  Optional<ResponseEntity<String>> page(long person, String leave) {
    return people
        .of(person)
        .map(known -> look.page(kept.page(), known, leave, null, Map.of(), ""))
        .map(PublicAnswer::ok);
  }

  /** Keeps what somebody chose, if all of it is right. */
  Optional<ResponseEntity<String>> choose(
      long person, String leave, MultiValueMap<String, String> typed) {
    ChoicesPage page = kept.page();
    FormReading reading = new FormReading(names, typed.toSingleValueMap());
    Filled filled = reading.read(page.asks(), "");
    Optional<HowOften> often = howOften(page, typed);
    if (!reading.problems().isEmpty()) {
      return people
          .of(person)
          .map(known -> look.page(page, known, leave, typed, reading.problems(), ""))
          .map(html -> PublicAnswer.of(HttpStatus.UNPROCESSABLE_CONTENT, html));
    }
    boolean there =
        people.choose(
            person,
            new TheirChoices.Chosen(
                parts(page.asks(), filled),
                page.asks().stream().anyMatch(Asked.Texts.class::isInstance)
                    ? Optional.of(filled.texts())
                    : Optional.empty(),
                Set.copyOf(page.lists()),
                page.lists().stream()
                    .filter(list -> ChoicesLook.on(typed, list))
                    .collect(Collectors.toCollection(LinkedHashSet::new)),
                fields(page.asks(), filled),
                often),
            clock.instant().getEpochSecond());
    return there
        ? people
            .of(person)
            .map(known -> look.page(page, known, leave, null, Map.of(), "Kept. Thank you."))
            .map(PublicAnswer::ok)
        : Optional.empty();
  }

  private static Optional<HowOften> howOften(
      ChoicesPage page, MultiValueMap<String, String> typed) {
    @Nullable String word = typed.getFirst(ChoicesLook.HOW_OFTEN);
    return page.howOften()
        ? List.of(HowOften.values()).stream().filter(one -> one.name().equals(word)).findFirst()
        : Optional.empty();
  }

  private static Map<TheirChoices.Part, Optional<String>> parts(List<Asked> asks, Filled filled) {
    Map<TheirChoices.Part, Optional<String>> parts = new EnumMap<>(TheirChoices.Part.class);
    for (Asked asked : asks) {
      switch (asked) {
        case Asked.FirstName first ->
            parts.put(TheirChoices.Part.FIRST_NAME, Optional.ofNullable(filled.firstName()));
        case Asked.LastName last ->
            parts.put(TheirChoices.Part.LAST_NAME, Optional.ofNullable(filled.lastName()));
        case Asked.Phone phone ->
            parts.put(TheirChoices.Part.PHONE, Optional.ofNullable(filled.phone()));
        case Asked.Texts texts -> {}
        case Asked.Field field -> {}
      }
    }
    return parts;
  }

  private Map<FieldName, Optional<Operand>> fields(List<Asked> asks, Filled filled) {
    Map<FieldName, Optional<Operand>> fields = new LinkedHashMap<>();
    for (Asked asked : asks) {
      if (asked instanceof Asked.Field field) {
        @Nullable String typed = filled.fields().get(field.field().value());
        fields.put(
            field.field(), typed == null ? Optional.empty() : names.read(field.field(), typed));
      }
    }
    return fields;
  }
}
