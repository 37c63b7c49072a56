package org.opentrellis.app.account;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class AccountController {
  private final Account account;

  AccountController(Account account) {
    this.account = account;
  }

  @GetMapping("/account")
  AccountView getAccount() {
    return account.view();
  }

  @PutMapping("/account")
  AccountView setAccount(@RequestBody AccountOrder order) {
    return account.set(order);
  }

  @GetMapping("/account/choices")
  AccountChoices getAccountChoices() {
    return account.choices();
  }

  @GetMapping("/sending-limits")
  LimitsView getSendingLimits() {
    return account.limitsView();
  }

  @PutMapping("/sending-limits")
  LimitsView setSendingLimits(@RequestBody LimitsOrder order) {
    return account.set(order);
  }
}
