package org.opentrellis.app.cohorts;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.GivenName;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.report.CohortWords;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Keeps cohorts under a name. */
@Service
@Transactional
public class Cohorts {
  private final CohortMapper mapper;
  private final Clock clock;

  Cohorts(CohortMapper mapper, Clock clock) {
    this.mapper = mapper;
    this.clock = clock;
  }

  List<CohortView> all() {
    return mapper.all().stream().map(Cohorts::view).toList();
  }

  /**
   * @throws ProblemsFound if the name or the cohort is refused
   */
  @AgainIfTaken
  CohortView keep(CohortOrder order) {
    String name = GivenName.of("A cohort", order.name(), "/name");
    keep(name, read(order.cohort()));
    return view(mapper.named(name).orElseThrow());
  }

  /**
   * Keeps a new one.
   *
   * @throws NameTaken if there is one of that name
   */
  public void add(String name, CohortPlan plan) {
    if (mapper.named(name).isPresent()) {
      throw NameTaken.of("cohort", name, "/name");
    }
    keep(name, plan);
  }

  /** Keeps a cohort, over the one of its name if there is one. */
  public long keep(String name, CohortPlan plan) {
    String document = Json.write(Documents.write(plan));
    OffsetDateTime now = OffsetDateTime.now(clock);
    mapper
        .named(name)
        .ifPresentOrElse(
            row -> mapper.update(row.id(), document, now),
            () -> mapper.insert(name, document, now));
    return mapper.named(name).orElseThrow().id();
  }

  /**
   * A cohort that is part of a request.
   *
   * @throws ProblemsFound if something in it is wrong
   */
  public static CohortPlan read(JsonNode document) {
    return ProblemsFound.within("/cohort", () -> Documents.readCohort(document));
  }

  /**
   * What a run's people are called: by the cohort that they are, or came of.
   *
   * @param id of the kept cohort that the plan began from, or null
   * @return null if they came of none
   * @throws NotFound if there is no such cohort
   */
  public @Nullable String nameOf(@Nullable Long id, CohortPlan plan) {
    if (id == null) {
      return null;
    }
    CohortRow row = mapper.find(id).orElseThrow(() -> NotFound.of("cohort", id));
    return plan(row).equals(plan) ? row.name() : row.name() + ", changed";
  }

  /**
   * @throws NotFound if there is no such cohort
   */
  void delete(long id) {
    if (mapper.delete(id) == 0) {
      throw NotFound.of("cohort", id);
    }
  }

  private static CohortPlan plan(CohortRow row) {
    return Documents.readCohort(Json.tree(row.document()));
  }

  private static CohortView view(CohortRow row) {
    CohortPlan plan = plan(row);
    return new CohortView(
        row.id(), row.name(), CohortWords.of(plan), row.savedAt(), Documents.write(plan));
  }
}
