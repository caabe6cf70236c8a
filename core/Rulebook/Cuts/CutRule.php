<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Cuts;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Project\CutStudy;

/** One thing that a builder should know about a board before it is cut, glued or lifted. */
interface CutRule
{
    /** @return non-empty-list<string> of what it may find; the rule book tells each in plain words */
    public function ids(): array;

    /** @return list<Finding> */
    public function check(CutStudy $study): array;
}
