package org.opentrellis.app.cohorts;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/cohorts")
class CohortController {
  private final Cohorts cohorts;

  CohortController(Cohorts cohorts) {
    this.cohorts = cohorts;
  }

  @GetMapping
  List<CohortView> listCohorts() {
    return cohorts.all();
  }

  @PostMapping
  CohortView keepCohort(@RequestBody CohortOrder order) {
    return cohorts.keep(order);
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void deleteCohort(@PathVariable long id) {
    cohorts.delete(id);
  }
}
