package org.opentrellis.app.http;

import org.opentrellis.app.TrellisSettings;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Where the public reaches the application: what the links in mail begin with. */
@Component
public class PublicAddress {
  private final TrellisSettings settings;
  private final Environment environment;

  PublicAddress(TrellisSettings settings, Environment environment) {
    this.settings = settings;
    this.environment = environment;
  }

  /** Without a slash at its end. */
  public String base() {
    return settings.address().isBlank()
        ? "http://localhost:" + environment.getRequiredProperty("local.server.port")
        : settings.address().strip().replaceAll("/+$", "");
  }
}
