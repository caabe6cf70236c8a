<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts\Nesting;

use IdleRidge\Core\Measure\InvalidValue;

/** Pieces to be laid on sheets: any two a kerf apart, all a margin from a sheet's edges, turned only by the angles allowed. */
final readonly class NestProblem
{
    public const MAX_PIECES = 400;

    /** @var list<float> degrees, counter-clockwise */
    public array $rotations;

    /**
     * @param  list<NestSheet>  $sheets
     * @param  list<NestPiece>  $pieces
     * @param  list<float>  $rotations
     *
     * @throws InvalidValue naming the field
     */
    public function __construct(
        public array $sheets,
        public array $pieces,
        public float $kerf,
        public float $margin,
        array $rotations = [0.0, 90.0, 180.0, 270.0],
    ) {
        InvalidValue::unlessBetween($kerf, 0.0, 50.0, 'The kerf', 'mm', 'kerf');
        InvalidValue::unlessBetween($margin, 0.0, 200.0, 'The margin', 'mm', 'margin');
        if ($rotations === [] || count($rotations) > 36) {
            throw new InvalidValue('One to 36 rotations are allowed.', 'rotations');
        }
        if (count($pieces) > self::MAX_PIECES) {
            throw new InvalidValue(sprintf('At most %d pieces are laid at once.', self::MAX_PIECES), 'pieces');
        }
        foreach (['sheets' => $sheets, 'pieces' => $pieces] as $list => $all) {
            $seen = [];
            foreach ($all as $k => $one) {
                if (isset($seen[$one->id])) {
                    throw new InvalidValue("“{$one->id}” stands twice.", "{$list}/{$k}/id");
                }
                $seen[$one->id] = true;
            }
        }

        $this->rotations = array_values(array_unique($rotations));
    }
}
