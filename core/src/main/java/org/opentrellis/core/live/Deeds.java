package org.opentrellis.core.live;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.VisitState;
import org.opentrellis.core.machine.Witness;

/** Writes down what the machine does in one turn. */
final class Deeds implements Witness {
  private final List<Deed> all = new ArrayList<>();

  List<Deed> all() {
    return List.copyOf(all);
  }

  void lotDrawn(int step, int way, Visit visit) {
    note(Deed.Kind.LOT_DRAWN, visit, step, Integer.toString(way));
  }

  /** A goal of a visit was met; told before what came of it. */
  void goalMet(Deed.Kind kind, VisitState visit, long at, Optional<String> which) {
    int place = 0;
    while (place < all.size() && !follows(all.get(place), visit, at)) {
      place++;
    }
    all.add(
        place,
        new Deed(
            at, kind, visit.journey(), visit.version(), visit.number(), Optional.empty(), which));
  }

  private static boolean follows(Deed deed, VisitState visit, long at) {
    boolean ends =
        deed.kind() == Deed.Kind.LEFT
            && deed.journey().equals(visit.journey())
            && deed.visit() == visit.number();
    return deed.at() > at || ends && deed.at() >= at;
  }

  private void note(Deed.Kind kind, Visit visit, int step, String detail) {
    Program program = visit.program();
    Optional<StepId> id = step < 0 ? Optional.empty() : Optional.of(program.steps().get(step).id());
    Optional<String> said = detail.isEmpty() ? Optional.empty() : Optional.of(detail);
    all.add(
        new Deed(visit.now(), kind, program.name(), program.version(), visit.number(), id, said));
  }

  @Override
  public void begins(Visit visit) {
    note(Deed.Kind.ENTERED, visit, Program.NOWHERE, "");
  }

  @Override
  public void turnedAway(Program program, boolean byFilter, long at) {
    Deed.Kind kind = byFilter ? Deed.Kind.KEPT_OUT : Deed.Kind.TURNED_AWAY;
    all.add(
        new Deed(
            at, kind, program.name(), program.version(), 0, Optional.empty(), Optional.empty()));
  }

  @Override
  public void held(int step, long seconds, Visit visit) {
    note(Deed.Kind.HELD_BACK, visit, step, "");
  }

  @Override
  public void sent(int step, Sent message) {
    Visit visit = message.visit();
    Step.Send send = visit.program().sends().get(message.send());
    String variant =
        send.versions().isEmpty() ? "" : send.versions().get(message.variant()).id().value();
    note(Deed.Kind.SENT, visit, step, variant);
  }

  @Override
  public void skipped(int step, SkipReason reason, Visit visit) {
    note(Deed.Kind.SKIPPED, visit, step, reason.name());
  }

  @Override
  public void took(int step, int way, Visit visit) {
    note(Deed.Kind.WENT_WAY, visit, step, Integer.toString(way));
  }

  @Override
  public void passed(int step, Visit visit) {
    switch (visit.program().steps().get(step)) {
      case Step.Change change -> note(Deed.Kind.RECORD_CHANGED, visit, step, "");
      case Step.HandOver over -> note(Deed.Kind.HANDED_OVER, visit, step, "");
      case Step.Notify notice -> note(Deed.Kind.TEAM_TOLD, visit, step, "");
      case Step.Send send -> {}
      case Step.Wait wait -> {}
      case Step.Parting parting -> {}
      case Step.Include include -> {}
      case Step.Finish finish -> {}
    }
  }

  @Override
  public void left(int step, LeaveReason reason, Visit visit) {
    note(Deed.Kind.LEFT, visit, step, reason.name());
  }

  @Override
  public void finished(int step, Visit visit) {
    note(Deed.Kind.FINISHED, visit, step, "");
  }
}
