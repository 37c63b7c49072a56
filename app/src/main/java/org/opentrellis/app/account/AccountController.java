package org.opentrellis.app.account;

import org.opentrellis.core.report.SendingLimits;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/sending-limits")
class AccountController {
  private final Account account;

  AccountController(Account account) {
    this.account = account;
  }

  @GetMapping
  SendingLimits getSendingLimits() {
    return account.limits();
  }

  @PutMapping
  SendingLimits setSendingLimits(@RequestBody LimitsOrder order) {
    return account.set(order);
  }
}
