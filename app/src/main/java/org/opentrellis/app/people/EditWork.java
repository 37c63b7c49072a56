package org.opentrellis.app.people;

import org.springframework.stereotype.Component;

/** Takes back what was changed of one person by hand; it is done where it is asked for. */
@Component
class EditWork implements ActWork {
  private final ManyWork many;

  EditWork(ManyWork many) {
    this.many = many;
  }

  @Override
  public ActKind kind() {
    return ActKind.EDIT;
  }

  @Override
  public Act forward(Act act) {
    return act.as(ActState.DONE);
  }

  @Override
  public Act back(Act act) {
    return many.back(act);
  }
}
