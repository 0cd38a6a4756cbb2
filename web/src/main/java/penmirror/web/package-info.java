/**
 * The web application: one package per stage of the work (gather, measure, rules, plan, mirror),
 * with the study itself in studies. A stage holds its controller, its page models and its store,
 * the only classes that touch the database.
 */
@NullMarked
package penmirror.web;

import org.jspecify.annotations.NullMarked;
