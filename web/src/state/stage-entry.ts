/** What the interface needs to know of a stage: everything that the bench shows of it, in one object. */
import type { ComponentType } from 'react';
import type { Place } from '@kalotrope/core/findings';
import type { Tape } from '@kalotrope/core/lines';
import type { Notation } from '@kalotrope/core/measure';
import type { Derived, Found, Project, StageName } from '@kalotrope/core/project';
import type { Picked } from './picked';
import type { RootState } from './store';

/** A thing with the words by which it is found. */
type NamedThing = { readonly label: string; readonly pick: Picked };

/** A setting by the label of its field on the slip, and the section that it is in. */
type Setting = { readonly label: string; readonly section?: string };

type Known = { readonly derived: Derived; readonly found: Found; readonly notation: Notation };

/** How a stage stands is told from this. */
type Standing = Known & { readonly isSearching: boolean };

export type StageEntry = {
  /** Also the last part of its address. */
  readonly stage: StageName;
  readonly title: string;
  /** The one question that it answers. */
  readonly question: string;
  /** Comes when it is first opened. */
  readonly Page: ComponentType;
  /** What can be found by name there. */
  readonly things?: (known: Known) => readonly NamedThing[];
  /** Its settings, to be found by their labels. */
  readonly settings?: (project: Project) => readonly Setting[];
  /** What `[` and `]` step through. */
  readonly steps: (state: RootState) => readonly Picked[];
  /** The thing that a place points at, if it is one of the stage's own kinds. */
  readonly pickAt?: (place: Place, derived: Derived) => Picked | undefined;
  /** The tape along a picked thing of the stage's own kinds. */
  readonly tape?: (derived: Derived, picked: Picked) => Tape | undefined;
  /** The tape when nothing that has one is picked. */
  readonly tapeAtRest?: (derived: Derived) => Tape | undefined;
  /** Whether there is something on it that the tape can lie along. */
  readonly hasTape: boolean;
  /** What it waits for before anything can be said of it; undefined where that is there. */
  readonly waitsFor?: (derived: Derived) => string | undefined;
  /** One line under its name in the rail, when nothing is to be checked. */
  readonly status: (standing: Standing) => string;
  /** The stages whose drawings its export menu offers. */
  readonly drawingsOf: readonly StageName[];
  /** Its tables are offered on every stage. */
  readonly isEverywhere?: boolean;
};
