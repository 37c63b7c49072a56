package org.opentrellis.app.account;

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
  LimitsView getSendingLimits() {
    return account.view();
  }

  @PutMapping
  LimitsView setSendingLimits(@RequestBody LimitsOrder order) {
    return account.set(order);
  }
}
