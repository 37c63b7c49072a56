package org.opentrellis.app.live;

import java.util.List;
import java.util.Optional;
import org.opentrellis.app.StartRefused;
import org.opentrellis.app.TrellisSettings;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.letters.MailRoute;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.stereotype.Component;

/**
 * What must not be once mail leaves this machine: an account in which the clock is not the wall's,
 * and people who are not there.
 */
@Component
class MailLeaves {
  private final MailRoute route;

  MailLeaves(MailRoute route, TrellisSettings settings, AccountClock clock) {
    this.route = route;
    if (route.leavesTo().isPresent() && settings.demo()) {
      throw new StartRefused(
          "The demo\u2019s people are invented, so its mail does not leave this machine: --smtp is for ./trellis start.");
    }
    if (route.leavesTo().isPresent() && settings.address().isBlank()) {
      throw new StartRefused(
          "Readers of mail that leaves this machine have to be able to follow its links and to unsubscribe: say with --address where they reach this application, such as https://letters.example.com.");
    }
    if (route.leavesTo().isPresent() && clock.turnedOn() != 0) {
      throw new StartRefused(
          "The clock of this data folder has been turned on, so it cannot mail real people: take a folder whose clock is the wall\u2019s, or leave out --smtp.");
    }
  }

  /** The server that it leaves to. */
  Optional<String> to() {
    return route.leavesTo();
  }

  /**
   * @param what cannot be then, as the end of a sentence
   * @throws ProblemsFound if mail leaves this machine
   */
  void refuse(String what) {
    if (to().isPresent()) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "mail-leaves",
                  "",
                  "Mail leaves this machine, to %s, so %s.".formatted(to().get(), what))));
    }
  }
}
