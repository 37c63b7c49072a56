package org.opentrellis.app.account;

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

  /**
   * @throws ProblemsFound if a limit is out of range
   */
  SendingLimits set(LimitsOrder order) {
    try {
      SendingLimits limits =
          new SendingLimits(order.monthlyQuota(), order.segmentPrice(), order.emailsPerWeek());
      mapper.set(LimitsRow.of(limits));
      return limits;
    } catch (Refused refused) {
      throw ProblemsFound.refused("", refused);
    }
  }
}
