/** What a state asks of the nodes: those of one label are to be one net, those of two labels never; what is not named is free. */
export interface Layout {
  readonly nodes: readonly number[];
  /** Of each of the nodes; label 0 is ground. */
  readonly labels: readonly number[];
  /** How many labels there are; they are the numbers below. */
  readonly blocks: number;
  /** Carriers of which an end is free, by their indices. */
  readonly idle: readonly number[];
}

/** One position with its pulls: the layouts that would do, and the contacts that are closed. */
export interface State {
  readonly layouts: readonly Layout[];
  /** Groups of nodes that the switches hold together. */
  readonly closed: readonly (readonly number[])[];
}

/** What lies between nodes and can carry a signal: a coil, or a pot with its way to ground. */
export interface Carrier {
  readonly nodes: readonly number[];
  /** The element that it belongs to. */
  readonly of: string;
  readonly coil: boolean;
}

/** Contacts that can only be joined with one another: one pole of a switch. */
export interface Pole {
  readonly element: string;
  readonly lugs: readonly number[];
}

/** A wish as nodes: which may be joined, what holds them together in each state, and what each state asks. Contacts of switches come after all other nodes. */
export interface Task {
  readonly count: number;
  /** The first contact of a switch. */
  readonly contacts: number;
  /** Inside a pickup: nothing can be joined to it. */
  readonly sealed: readonly boolean[];
  /** Joined already. */
  readonly joined: readonly (readonly [number, number])[];
  /** Joints to begin with, one set after the other; they need not be right. */
  readonly hints: readonly (readonly (readonly [number, number])[])[];
  readonly carriers: readonly Carrier[];
  readonly poles: readonly Pole[];
  readonly states: readonly State[];
}

/** Ground, in every layout. */
export const GROUND = 0;

/** One way to join the nodes so that every state has what it asks. */
export interface Joined {
  readonly joints: readonly (readonly [number, number])[];
  /** Coils that reach neither hot nor ground in some state, by their carriers' indices. */
  readonly floating: readonly number[];
}
