<?php

declare(strict_types=1);

namespace App\Actions\Begin;

use App\Actions\Files\LayoutFiles;
use App\Actions\Ledger\Ledger;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Revision;
use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\Project;

/** A layout of its own from what another was after a step of its history; the other stays as it is. */
final readonly class CopyLayout
{
    public function __construct(private Ledger $ledger, private ProjectLoader $load, private LayoutFiles $files)
    {
    }

    /** @throws InvalidValue for a step that is not of its history */
    public function asAfter(Layout $layout, int $step): Layout
    {
        $revision = Revision::query()->where('layout_id', $layout->id)->find($step)
            ?? throw new InvalidValue('That step is not of this history.', 'step');
        $at = (new DateTimeImmutable($revision->made_at, new DateTimeZone('UTC')))->setTimezone(new DateTimeZone($layout->zone));
        $project = $this->ledger->asItWas($layout, $step, function (Layout $then) use ($at): Project {
            $then->name = mb_substr($then->name, 0, 60).$at->format(', j M H.i');

            return $this->load->complete($then);
        });

        return $this->files->store($project);
    }
}
