package penmirror.demoart;

/**
 * How one drawing of a figure differs from its model drawing.
 *
 * @param eyesDown both eyes lower, in the model's units; negative is higher
 * @param eyeSize factor on the eye openings
 * @param eyesApart each eye farther from the middle, in units
 * @param noseDown nose lower, in units
 * @param mouthDown mouth lower, in units
 * @param torso factor on the height from the chin to the crotch
 * @param legs factor on the height from the crotch to the ground
 * @param shoulders factor on widths below the neck
 * @param lineWeight factor on every line
 */
record Build(
    double eyesDown,
    double eyeSize,
    double eyesApart,
    double noseDown,
    double mouthDown,
    double torso,
    double legs,
    double shoulders,
    double lineWeight) {

  static final Build MODEL = new Build(0, 1, 0, 0, 0, 1, 1, 1, 1);

  Build face(double newEyesDown, double newEyeSize, double newEyesApart) {
    return new Build(
        newEyesDown,
        newEyeSize,
        newEyesApart,
        noseDown,
        mouthDown,
        torso,
        legs,
        shoulders,
        lineWeight);
  }

  Build features(double newNoseDown, double newMouthDown) {
    return new Build(
        eyesDown,
        eyeSize,
        eyesApart,
        newNoseDown,
        newMouthDown,
        torso,
        legs,
        shoulders,
        lineWeight);
  }

  Build body(double newTorso, double newLegs, double newShoulders) {
    return new Build(
        eyesDown,
        eyeSize,
        eyesApart,
        noseDown,
        mouthDown,
        newTorso,
        newLegs,
        newShoulders,
        lineWeight);
  }

  Build line(double newLineWeight) {
    return new Build(
        eyesDown, eyeSize, eyesApart, noseDown, mouthDown, torso, legs, shoulders, newLineWeight);
  }
}
