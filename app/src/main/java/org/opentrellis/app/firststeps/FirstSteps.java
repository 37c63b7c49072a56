package org.opentrellis.app.firststeps;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What practitioners do one after the other, and how far somebody is who is new here. */
@Service
@Transactional
public class FirstSteps {
  private final FirstStepsMapper mapper;

  FirstSteps(FirstStepsMapper mapper) {
    this.mapper = mapper;
  }

  @Transactional(readOnly = true)
  FirstStepsView view() {
    FirstStepsMapper.Done done = mapper.done();
    return new FirstStepsView(
        done.putAway(),
        List.of(
            new FirstStepsView.FirstStep(FirstStepsView.Kind.PEOPLE, done.people()),
            new FirstStepsView.FirstStep(FirstStepsView.Kind.MESSAGE, done.messages()),
            new FirstStepsView.FirstStep(FirstStepsView.Kind.JOURNEY, done.journeys()),
            new FirstStepsView.FirstStep(FirstStepsView.Kind.DRY_RUN, done.dryRuns()),
            new FirstStepsView.FirstStep(FirstStepsView.Kind.TRYOUT, done.tried()),
            new FirstStepsView.FirstStep(FirstStepsView.Kind.OPEN, done.opened())),
        mapper.journey().orElse(null));
  }

  /** Somebody has tried a journey on themselves. */
  public void tried() {
    mapper.tried();
  }

  /** They are shown no more, or again. */
  public void putAway(boolean away) {
    mapper.putAway(away);
  }
}
