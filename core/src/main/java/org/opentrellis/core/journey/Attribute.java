package org.opentrellis.core.journey;

import java.util.List;

/**
 * What an event must say about itself. What it does not say is only ever "empty".
 *
 * @param values as many as the operator compares with
 */
public record Attribute(AttributeName attribute, Operator is, List<Operand> values) {
  public Attribute {
    values = List.copyOf(values);
    is.requireFor(values);
  }
}
