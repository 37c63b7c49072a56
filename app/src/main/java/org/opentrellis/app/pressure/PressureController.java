package org.opentrellis.app.pressure;

import java.util.concurrent.CompletableFuture;
import org.opentrellis.app.pressure.PressureView.PressureOrder;
import org.opentrellis.app.pressure.PressureView.PressureTried;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/pressure")
class PressureController {
  private final AccountPressure pressure;

  PressureController(AccountPressure pressure) {
    this.pressure = pressure;
  }

  @GetMapping
  PressureView getPressure() {
    return pressure.view();
  }

  /** It holds at once. */
  @PutMapping
  PressureView setPressure(@RequestBody PressureOrder order) {
    return pressure.set(order);
  }

  /** What it would cost and save; nothing is kept. */
  @PostMapping("/trials")
  CompletableFuture<PressureTried> tryPressure(@RequestBody PressureOrder order) {
    return pressure.trial(order);
  }
}
