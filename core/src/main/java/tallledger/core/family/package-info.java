/**
 * What kinds of machine there are: one file a family with its usual axes, features, kit, start checks, what can be mounted, drives to
 * start from, and its steps in the order of work. {@link tallledger.core.family.Catalogue} makes a machine's steps of it.
 */
package tallledger.core.family;
