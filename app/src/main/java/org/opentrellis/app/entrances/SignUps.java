package org.opentrellis.app.entrances;

import static org.opentrellis.app.storage.Columns.longs;
import static org.opentrellis.app.storage.Columns.texts;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.letters.Token;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.people.PersonForgotten;
import org.opentrellis.app.people.SigningUp;
import org.opentrellis.app.people.TellTeam;
import org.opentrellis.app.people.TextKey;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.problem.Refused;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes those who sign up. Who is new is in at once unless the form has everybody confirm; who is
 * known already changes nothing before they have shown that the address is theirs.
 */
@Service
@Transactional
class SignUps {
  private final SignUpMapper mapper;
  private final EntranceMapper entrances;
  private final SigningUp people;
  private final RegisteredNames names;
  private final Account account;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  SignUps(
      SignUpMapper mapper,
      EntranceMapper entrances,
      SigningUp people,
      RegisteredNames names,
      Account account,
      ApplicationEventPublisher events,
      Clock clock) {
    this.mapper = mapper;
    this.entrances = entrances;
    this.people = people;
    this.names = names;
    this.account = account;
    this.events = events;
    this.clock = clock;
  }

  /**
   * A form that was filled in.
   *
   * @param number its own: one that comes again is the same
   */
  record Sent(EntranceRow entrance, String number, Filled filled) {}

  /** Takes some forms, all of them or none. */
  @AgainIfTaken
  void take(List<Sent> forms) {
    List<Sent> fresh = fresh(forms);
    Set<String> known = people.known(fresh.stream().map(form -> form.filled().address()).toList());
    List<Sent> in =
        fresh.stream()
            .filter(form -> !form.entrance().entrance().confirms())
            .filter(form -> known.add(TextKey.of(form.filled().address())))
            .toList();
    Map<Sent, Long> persons = in(in);
    Map<Long, Long> taken = new HashMap<>();
    for (Sent form : fresh) {
      keep(form, persons.get(form));
      taken.merge(form.entrance().id(), 1L, Long::sum);
    }
    taken.forEach((entrance, many) -> entrances.count(entrance, today(), 0, many));
  }

  /** Those that were not sent before, each once. */
  private List<Sent> fresh(List<Sent> forms) {
    Map<String, Sent> fresh = new LinkedHashMap<>();
    forms.forEach(form -> fresh.putIfAbsent(form.number(), form));
    List<Sent> all = List.copyOf(fresh.values());
    mapper
        .among(longs(all, form -> form.entrance().id()), texts(all, Sent::number))
        .forEach(fresh::remove);
    return List.copyOf(fresh.values());
  }

  /** New people are in at once. */
  private Map<Sent, Long> in(List<Sent> forms) {
    Map<Sent, Long> persons = new IdentityHashMap<>();
    if (!forms.isEmpty()) {
      List<Long> numbers =
          people.newcomers(
              forms.stream().map(one -> signed(one.entrance().entrance(), one.filled())).toList(),
              account.zone().getId(),
              now());
      for (int i = 0; i < forms.size(); i++) {
        Sent form = forms.get(i);
        persons.put(form, numbers.get(i));
        tell(form.entrance().entrance(), form.filled(), numbers.get(i));
      }
    }
    return persons;
  }

  /**
   * @param person who they are, once they are in; null as long as they have to confirm
   */
  private void keep(Sent form, @Nullable Long person) {
    Filled filled = form.filled();
    mapper.insert(
        new SignUpMapper.SignUpRow(
            0,
            form.entrance().id(),
            filled.address(),
            Json.write(filled),
            form.entrance().entrance().agreement(),
            now(),
            0),
        form.number(),
        TextKey.of(filled.address()),
        person == null,
        person);
  }

  /** Whether a token is of somebody who signed up here. */
  @Transactional(readOnly = true)
  boolean isAsked(EntranceRow row, String token) {
    return asked(row, token).isPresent();
  }

  private Optional<SignUpMapper.SignUpRow> asked(EntranceRow row, String token) {
    return mapper.byToken(new Token(token).hash()).filter(one -> one.entranceId() == row.id());
  }

  /**
   * They confirm; doing so again changes nothing.
   *
   * @return whether the token is of somebody who signed up here
   */
  @AgainIfTaken
  boolean confirm(EntranceRow row, String token) {
    Optional<SignUpMapper.SignUpRow> asked = asked(row, token);
    asked
        .filter(one -> mapper.awaits(one.id()))
        .ifPresent(
            one -> {
              Filled filled = Json.read(one.filled(), Filled.class);
              mapper.confirmed(one.id(), now(), in(row.entrance(), filled));
            });
    return asked.isPresent();
  }

  private long in(Entrance entrance, Filled filled) {
    long person = people.in(signed(entrance, filled), account.zone().getId(), now());
    tell(entrance, filled, person);
    return person;
  }

  private void tell(Entrance entrance, Filled filled, long person) {
    entrance
        .tells()
        .ifPresent(
            who ->
                events.publishEvent(
                    new TellTeam(
                        person,
                        entrance.name().value(),
                        who,
                        "%s signed up.".formatted(filled.called()),
                        now())));
  }

  private SigningUp.Signed signed(Entrance entrance, Filled filled) {
    return new SigningUp.Signed(
        entrance.name(),
        filled.address(),
        filled.firstName(),
        filled.lastName(),
        filled.phone(),
        filled.texts(),
        entrance.agreement(),
        values(filled),
        entrance.labels());
  }

  /** What a field cannot hold any more is left as it is. */
  private Map<FieldName, Operand> values(Filled filled) {
    Map<FieldName, Operand> values = new LinkedHashMap<>();
    filled
        .fields()
        .forEach(
            (name, typed) -> {
              FieldName field = new FieldName(name);
              try {
                names.read(field, typed).ifPresent(value -> values.put(field, value));
              } catch (Refused sinceThen) {
                // the field was changed after they filled it in
              }
            });
    return values;
  }

  @EventListener
  void follow(PersonForgotten forgotten) {
    mapper.forget(TextKey.of(forgotten.address()));
  }

  private long now() {
    return clock.instant().getEpochSecond();
  }

  private LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), account.zone());
  }
}
