<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use App\Computed\ProjectLoader;
use App\Models\Coat as CoatRow;
use App\Models\Layout;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\FaceWork;
use IdleRidge\Core\Interchange\TemplatePdf;
use IdleRidge\Core\Interchange\TemplateSvg;
use IdleRidge\Core\Measure\InvalidValue;

/** The measuring stick for a coat's joints, at full size. */
final readonly class ExportStick
{
    public function __construct(private ProjectLoader $load)
    {
    }

    /**
     * @return array{name: string, type: string, body: string}
     *
     * @throws InvalidValue where it has no joints
     */
    public function as(string $form, Layout $layout, CoatRow $row): array
    {
        $project = $this->load->of($layout);
        $coat = array_values(array_filter($project->works->coats, fn (Coat $c): bool => $c->uid === $row->uid))[0];
        $joint = $coat->pieces->joint ?? 0.0;
        if ($joint <= 0.0) {
            throw new InvalidValue('Say first how far apart its joints are.', 'pieces/joint');
        }
        $stick = FaceWork::stick($joint, $project->layout->scale);

        return $form === 'svg'
            ? ['name' => 'joints.svg', 'type' => 'image/svg+xml', 'body' => TemplateSvg::of([$stick])]
            : ['name' => 'joints.pdf', 'type' => 'application/pdf', 'body' => TemplatePdf::of([$stick], 'a4', $project->layout->name)];
    }
}
