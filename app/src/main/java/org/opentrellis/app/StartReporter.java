package org.opentrellis.app;

import org.springframework.boot.SpringBootExceptionReporter;
import org.springframework.boot.web.server.PortInUseException;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;

/** Says on the console in one sentence why the application did not start, where that is known. */
@Order(Ordered.HIGHEST_PRECEDENCE)
class StartReporter implements SpringBootExceptionReporter {
  StartReporter(ConfigurableApplicationContext context) {}

  @Override
  public boolean reportException(Throwable failure) {
    for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
      if (cause instanceof StartRefused refused) {
        System.err.println("trellis: " + refused.getMessage());
        return true;
      }
      if (cause instanceof PortInUseException port) {
        System.err.println(
            "trellis: Port %d is taken by another program. Stop that one, or choose another with --port."
                .formatted(port.getPort()));
        return true;
      }
    }
    return false;
  }
}
