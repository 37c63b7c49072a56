package org.opentrellis.core.message;

import java.util.Optional;
import org.opentrellis.core.journey.LinkName;

/**
 * A link of a message.
 *
 * @param to where it leads; empty as long as nobody has said
 * @param name what conditions and reports call it; its words if there is none
 */
public record Link(Optional<Target> to, Optional<LinkName> name) {
  public static final Link NOWHERE = new Link(Optional.empty(), Optional.empty());

  public static Link to(Target target) {
    return new Link(Optional.of(target), Optional.empty());
  }

  /** Whether clicks on it are told to journeys. */
  public boolean counts() {
    return to.isEmpty() || to.get().counts();
  }
}
