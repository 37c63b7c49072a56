package org.opentrellis.app.people;

import java.util.List;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.people.HowOften;
import org.opentrellis.core.people.Mailing;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Adds simulated people, with a record that says what they are. */
@Service
@Transactional
public class Guests {
  private static final String HOW = "simulated";

  private final PeopleMapper mapper;
  private final RegisteredNames names;

  Guests(PeopleMapper mapper, RegisteredNames names) {
    this.mapper = mapper;
    this.names = names;
  }

  /**
   * @param at when they come, in epoch seconds
   * @return the number of the person
   */
  public long add(String address, String firstName, String lastName, PersonState is, long at) {
    PersonRow row =
        new PersonRow(
            0,
            address,
            firstName,
            lastName,
            null,
            is.zone().getId(),
            Mailing.MAY_BE_MAILED,
            at,
            HOW,
            null,
            is.agreesToTexts(),
            at,
            HOW,
            "a simulated crowd",
            at,
            HowOften.AS_IT_COMES,
            1);
    mapper.insert(row, row.addressKey(), row.nameKey());
    mapper.noteZone(row.zone());
    long id = mapper.numberOf(row.addressKey()).orElseThrow();
    for (Name label : is.hadLabels()) {
      Long until = is.labels().contains(label) ? null : at;
      mapper.insertLabel(id, names.number(label), at, HOW, until);
    }
    is.fields()
        .forEach(
            (field, value) -> {
              ValueRow held = ValueRow.of(field.value(), value);
              mapper.insertField(id, names.number(field), held, held.wordsKey());
            });
    for (PersonState.Purchase one : is.purchases()) {
      mapper.insertPurchase(
          id, one.at(), one.product().map(names::number).orElse(null), one.cents());
    }
    mapper.insertHappening(id, at, "ADDED", "Came as one of a simulated crowd.", null);
    return id;
  }

  /** First names and last names that are invented. */
  public static final List<String> FIRST_NAMES =
      List.of("Mira", "Oskar", "Ines", "Tove", "Bram", "Lena", "Pia", "Jonas", "Sanne", "Nils");

  public static final List<String> LAST_NAMES =
      List.of(
          "Asterby",
          "Birkholt",
          "Dalvik",
          "Fjellnes",
          "Granstad",
          "Holmgren",
          "Lindmark",
          "Norwick",
          "Sandfeld",
          "Waldhus");
}
