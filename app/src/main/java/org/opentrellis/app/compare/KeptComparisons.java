package org.opentrellis.app.compare;

import java.util.List;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.core.compare.Compared;
import org.opentrellis.core.compare.LineUp;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps comparisons under a name. */
@Service
@Transactional
public class KeptComparisons {
  private static final int LONGEST_NAME = 80;

  private final KeptComparisonMapper mapper;

  KeptComparisons(KeptComparisonMapper mapper) {
    this.mapper = mapper;
  }

  List<KeptComparison> all() {
    return mapper.all().stream().map(KeptComparisonRow::kept).toList();
  }

  /**
   * @throws ProblemsFound if the name or a run is refused
   */
  KeptComparison keep(KeptComparison.KeepOrder order) {
    String name = order.name() == null ? "" : order.name().strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "bad-value",
                  "/name",
                  "A comparison needs a name of 1 to %d characters.".formatted(LONGEST_NAME))));
    }
    String runs =
        String.join(",", order.runs().stream().map(run -> RunRef.of(run).toString()).toList());
    mapper.keep(
        new KeptComparisonRow(0, name, runs, order.baseline(), order.lineUp(), order.compared()));
    return all().stream().filter(one -> one.name().equals(name)).findFirst().orElseThrow();
  }

  /** Keeps runs under a name, by the order of emails and their opens. */
  public void keep(String name, List<String> runs) {
    keep(new KeptComparison.KeepOrder(name, runs, 0, LineUp.EMAIL_ORDER, Compared.OPENED));
  }

  void delete(long id) {
    if (mapper.delete(id) == 0) {
      throw NotFound.of("comparison", id);
    }
  }
}
