package org.opentrellis.app.rules;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.opentrellis.app.rules.RuleViews.NewRule;
import org.opentrellis.app.rules.RuleViews.RuleLately;
import org.opentrellis.app.rules.RuleViews.RuleReadingView;
import org.opentrellis.app.rules.RuleViews.RuleSave;
import org.opentrellis.app.rules.RuleViews.RuleView;
import org.opentrellis.app.rules.RuleViews.TypedRule;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/rules")
class RuleController {
  private final Rules rules;
  private final RulesLately lately;

  RuleController(Rules rules, RulesLately lately) {
    this.rules = rules;
    this.lately = lately;
  }

  @GetMapping
  List<RuleView> listRules() {
    return rules.list();
  }

  /** A rule while it is typed; nothing is kept. */
  @PostMapping("/readings")
  RuleReadingView readRule(@RequestBody TypedRule typed) {
    return rules.read(typed);
  }

  /** What a typed rule would have done lately; nothing is kept. */
  @PostMapping("/lately")
  CompletableFuture<RuleLately> tryRule(@RequestBody TypedRule typed) {
    return lately.of(typed.text());
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  RuleView addRule(@RequestBody NewRule given) {
    return rules.add(given);
  }

  @PutMapping("/{id}")
  RuleView saveRule(@PathVariable long id, @RequestBody RuleSave save) {
    return rules.save(id, save);
  }

  /** It acts from now on. */
  @PutMapping("/{id}/on")
  RuleView turnRuleOn(@PathVariable long id) {
    return rules.turnOn(id);
  }

  /** It acts no more. */
  @DeleteMapping("/{id}/on")
  RuleView turnRuleOff(@PathVariable long id) {
    return rules.turnOff(id);
  }

  /** Puts it away. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putRuleAway(@PathVariable long id) {
    rules.putAway(id);
  }
}
