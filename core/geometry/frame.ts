import { cosDeg, sinDeg } from './trig';
import { multiply, rotate, type Matrix3 } from './turn';
import { add, type Vec2, type Vec3 } from './vec';

/** A place on a way with its directions: ahead, up and to the right, each of length 1. */
export interface Frame {
  readonly at: Vec3;
  /** Columns: ahead, up, right. */
  readonly turn: Matrix3;
}

const aboutX = (degrees: number): Matrix3 => {
  const [s, c] = [sinDeg(degrees), cosDeg(degrees)];
  return [1, 0, 0, 0, c, -s, 0, s, c];
};
const aboutY = (degrees: number): Matrix3 => {
  const [s, c] = [sinDeg(degrees), cosDeg(degrees)];
  return [c, 0, s, 0, 1, 0, -s, 0, c];
};
const aboutZ = (degrees: number): Matrix3 => {
  const [s, c] = [sinDeg(degrees), cosDeg(degrees)];
  return [c, -s, 0, s, c, 0, 0, 0, 1];
};

/**
 * The frame at a place.
 * @param at height of the tops, m
 * @param heading degrees about the upright, anticlockwise seen from above; 0 is ahead along x
 * @param pitch degrees upwards
 * @param bank degrees by which the right side is lower
 */
export function frameAt(at: Vec3, heading = 0, pitch = 0, bank = 0): Frame {
  let turn = aboutY(heading);
  if (pitch !== 0) turn = multiply(turn, aboutZ(pitch));
  if (bank !== 0) turn = multiply(turn, aboutX(bank));
  return { at, turn };
}

/** Where a point of a cross-section (to the right, up) lies in the world. */
export const fromSection = ({ at, turn }: Frame, [u, v]: Vec2): Vec3 =>
  add(at, rotate(turn, [0, v, u]));
