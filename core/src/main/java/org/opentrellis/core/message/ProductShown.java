package org.opentrellis.core.message;

import java.util.Optional;
import org.opentrellis.core.journey.FileName;

/**
 * A product as a message shows it.
 *
 * @param price as it is written, such as "€219.00"
 * @param address of its page
 */
public record ProductShown(
    String name,
    String words,
    Optional<String> price,
    Optional<FileName> picture,
    String address) {}
