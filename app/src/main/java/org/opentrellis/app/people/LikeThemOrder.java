package org.opentrellis.app.people;

/**
 * A cohort for dry runs that is to be like some people.
 *
 * @param name that it is kept under
 */
record LikeThemOrder(Whom people, String name) {}
