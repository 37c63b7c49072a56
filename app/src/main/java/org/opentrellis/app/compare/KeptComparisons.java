package org.opentrellis.app.compare;

import java.util.List;
import org.opentrellis.app.http.GivenName;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.core.compare.Compared;
import org.opentrellis.core.compare.LineUp;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps comparisons under a name. */
@Service
@Transactional
public class KeptComparisons {
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
  @AgainIfTaken
  KeptComparison keep(KeptComparison.KeepOrder order) {
    String name = GivenName.of("A comparison", order.name(), "/name");
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
