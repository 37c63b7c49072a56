package org.opentrellis.app.account;

import org.opentrellis.app.http.SaveLost;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.report.SendingLimits;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the account may send. */
@Service
@Transactional
public class Account {
  private final AccountMapper mapper;

  Account(AccountMapper mapper) {
    this.mapper = mapper;
  }

  public SendingLimits limits() {
    return mapper.limits().limits();
  }

  LimitsView view() {
    return LimitsView.of(mapper.limits());
  }

  /**
   * @throws ProblemsFound if a limit is out of range
   * @throws SaveLost if somebody else has set them since
   */
  LimitsView set(LimitsOrder order) {
    try {
      SendingLimits limits =
          new SendingLimits(order.monthlyQuota(), order.segmentPrice(), order.emailsPerWeek());
      if (mapper.set(LimitsRow.of(limits, order.version())) == 0) {
        throw new SaveLost(
            "Somebody else has set the limits since you opened them.", view(), order);
      }
      return view();
    } catch (Refused refused) {
      throw ProblemsFound.refused("", refused);
    }
  }
}
