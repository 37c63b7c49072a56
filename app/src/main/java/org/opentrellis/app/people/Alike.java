package org.opentrellis.app.people;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Gatherers;
import org.opentrellis.app.cohorts.Cohorts;
import org.opentrellis.app.http.GivenName;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.calibrate.CohortLike;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.people.Mailing;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps cohorts for dry runs whose people are like real ones. */
@Service
@Transactional
class Alike {
  /** More people than these are judged by as many, drawn evenly. */
  private static final int LOOKED_AT = 20_000;

  private static final int PIECE = 1_000;

  private final People people;
  private final Crowd crowd;
  private final PeopleInOrder inOrder;
  private final PeopleMapper mapper;
  private final Cohorts cohorts;
  private final Clock clock;

  Alike(
      People people,
      Crowd crowd,
      PeopleInOrder inOrder,
      PeopleMapper mapper,
      Cohorts cohorts,
      Clock clock) {
    this.people = people;
    this.crowd = crowd;
    this.inOrder = inOrder;
    this.mapper = mapper;
    this.cohorts = cohorts;
    this.clock = clock;
  }

  /**
   * @throws ProblemsFound if the sentence is not understood, means nobody, or there is no name
   * @throws NameTaken if there is a cohort of that name
   */
  @AgainIfTaken
  LikeThem keep(LikeThemOrder order) {
    String name = GivenName.of("A cohort", order.name(), "/name");
    long[] all = crowd.numbers(people.meant(order.people())).toArray();
    int found = all.length;
    if (found == 0) {
      throw ProblemsFound.badValue("/people", "Nobody is meant, so there is nobody to be like.");
    }
    List<PersonRow> some = rows(drawn(all));
    CohortPlan plan =
        CohortLike.of(
            somebody(some), Math.min(found, CohortPlan.MOST_PEOPLE), LocalDate.now(clock));
    cohorts.add(name, plan);
    return new LikeThem(name, plan.people(), plan.groups().size(), some.size());
  }

  /** Some of them, none likelier than another, and the same each time. */
  private static List<Long> drawn(long[] all) {
    List<Long> numbers = new ArrayList<>(Arrays.stream(all).boxed().toList());
    Collections.shuffle(numbers, new Random(all.length));
    return numbers.subList(0, Math.min(LOOKED_AT, numbers.size()));
  }

  private List<PersonRow> rows(List<Long> numbers) {
    return numbers.stream()
        .gather(Gatherers.windowFixed(PIECE))
        .flatMap(piece -> inOrder.rows(piece).stream())
        .toList();
  }

  private List<CohortLike.Somebody> somebody(List<PersonRow> rows) {
    List<CohortLike.Somebody> all = new ArrayList<>();
    for (List<PersonRow> piece : rows.stream().gather(Gatherers.windowFixed(PIECE)).toList()) {
      List<Long> ids = piece.stream().map(PersonRow::id).toList();
      Map<Long, Set<Name>> labels =
          mapper.labels(ids).stream()
              .collect(
                  Collectors.groupingBy(
                      LabelRow::personId, Collectors.mapping(LabelRow::label, Collectors.toSet())));
      Map<Long, Map<FieldName, Operand>> fields =
          mapper.fieldsOf(ids.toArray(Long[]::new)).stream()
              .collect(
                  Collectors.groupingBy(
                      HeldValue::personId,
                      Collectors.toMap(
                          one -> new FieldName(one.name()), one -> one.value().operand())));
      piece.forEach(
          row ->
              all.add(
                  new CohortLike.Somebody(
                      ZoneId.of(row.zone()),
                      labels.getOrDefault(row.id(), Set.of()),
                      fields.getOrDefault(row.id(), Map.of()),
                      row.mailing() == Mailing.BOUNCED,
                      row.texts())));
    }
    return all;
  }
}
