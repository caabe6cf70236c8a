<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/** Glues between layers of foam: how far they go and how long they can be worked. Starting values of data sheets. */
final class GlueFigures
{
    /** What a glue takes, ml/m² of joint: adhesive in beads, contact glue on both faces, hot melt in beads. */
    public const COVERAGE_ML_PER_M2 = ['adhesive' => 250.0, 'contact' => 240.0, 'hot melt' => 150.0];

    /** Hot melt can be pressed so long after it is laid. */
    public const HOT_MELT_OPEN_SECONDS = 30.0;

    /** So much of a joint has its beads drawn in a second, mm². */
    public const HOT_MELT_MM2_PER_SECOND = 1200.0;

    /** Adhesive that would dry longer than this is not waited for. */
    public const MAX_ADHESIVE_DAYS = 2.0;
}
