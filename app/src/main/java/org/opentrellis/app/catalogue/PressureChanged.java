package org.opentrellis.app.catalogue;

import java.util.Optional;
import org.opentrellis.core.journey.Pressure;

/**
 * The account finds other mail enough for one person; told in the transaction in which it is.
 *
 * @param pressure empty if nothing is too much any more
 */
public record PressureChanged(Optional<Pressure> pressure) {}
