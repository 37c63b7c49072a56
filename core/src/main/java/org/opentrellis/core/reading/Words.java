package org.opentrellis.core.reading;

/** Wordings that several readers go by. */
final class Words {
  /** How a sentence begins that does something. */
  static final String STEP =
      "then|send|resend|text|email|mail|sms|wait|"
          + "pause|tag|untag|give them|add|remove|take|copy|move|put|unsubscribe|subscribe them|erase|"
          + "set field|clear field|go through|hand|pass|tell|notify|finish|end the|stop|try|split|"
          + "branch|leave the journey|exit";

  /** Who comes in. */
  static final String SOMEONE =
      "someone|somebody|anyone|anybody|people|a (person|subscriber|contact|customer|member|visitor|"
          + "reader|buyer|user|client|lead)|subscribers|customers|contacts|visitors|members|readers|"
          + "the (customer|subscriber|contact|person)";

  /** What leads whoever leaves into another journey; its name follows. */
  static final String ONWARD =
      "(then )?((they )?(go|change|move|pass|hand|hand them|move them|pass them|put them|send them|are handed|are moved)"
          + "( over| on)? (in)?to|(they )?(enter|start|join)|into)( the)?( journey)?";

  private Words() {}
}
