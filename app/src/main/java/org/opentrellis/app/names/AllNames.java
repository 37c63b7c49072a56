package org.opentrellis.app.names;

import java.util.List;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.core.reading.KnownNames;
import org.springframework.stereotype.Service;

/**
 * Every name that an account has: registered, or used by a journey, a message, a strand or a
 * segment.
 */
@Service
public class AllNames {
  private final RegisteredNames registered;
  private final NameUses uses;
  private final Catalogues catalogues;

  AllNames(RegisteredNames registered, NameUses uses, Catalogues catalogues) {
    this.registered = registered;
    this.uses = uses;
    this.catalogues = catalogues;
  }

  /** As they are offered to whoever types a sentence. */
  public KnownNames known() {
    return KnownNames.of(
        List.of(
            KnownNames.of(registered.byKind()),
            uses.inUse(),
            KnownNames.in(List.of(catalogues.current()))));
  }
}
