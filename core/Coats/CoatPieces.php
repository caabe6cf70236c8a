<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/** What of a coat is counted or graded: the real sizes of its stones, the stripes they lie in, the piece that tiles a face, joints. */
final readonly class CoatPieces
{
    private const MAX_GRADES = 6;

    /**
     * @param  list<float>  $stones real sizes, mm of the prototype
     * @param  float  $stripe width of a stripe, mm of the model; 0 where stones lie mixed
     * @param  array{float, float}|null  $piece width and height of a casting, mm
     * @param  float  $joint real distance of joints, mm of the prototype; 0 where there are none
     *
     * @throws InvalidValue
     */
    public function __construct(
        public array $stones = [],
        public float $stripe = 0.0,
        public ?array $piece = null,
        public float $joint = 0.0,
    ) {
        if (count($stones) > self::MAX_GRADES) {
            throw new InvalidValue('At most '.self::MAX_GRADES.' sizes of stone.', 'pieces/stones');
        }
        foreach ($stones as $stone) {
            InvalidValue::unlessBetween($stone, 1.0, 3000.0, 'A stone', 'mm of the real one', 'pieces/stones');
        }
        if ($stripe !== 0.0) {
            InvalidValue::unlessBetween($stripe, 3.0, 500.0, 'A stripe', 'mm', 'pieces/stripe');
        }
        foreach ($piece ?? [] as $side) {
            InvalidValue::unlessBetween($side, 5.0, 500.0, 'A piece', 'mm', 'pieces/piece');
        }
        if ($joint !== 0.0) {
            InvalidValue::unlessBetween($joint, 100.0, 50_000.0, 'The distance of joints', 'mm of the real one', 'pieces/joint');
        }
    }

    public function isEmpty(): bool
    {
        return $this->stones === [] && $this->stripe === 0.0 && $this->piece === null && $this->joint === 0.0;
    }
}
