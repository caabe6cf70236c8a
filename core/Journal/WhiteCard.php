<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

use IdleRidge\Core\Coats\Pigment;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * A white card in a picture, by which the light that it was taken in is taken out again: each band of linear light is divided by what the
 * card shows of it (von Kries' coefficient law, in the bands of the picture).
 */
final readonly class WhiteCard
{
    /** A card reflects so much of the light; paper whites lie near it. A starting value. */
    public const REFLECTANCE = 0.9;

    /** Darker than this is no white card, lighter is burnt out: of 255. */
    public const MIN_BAND = 60;

    public const MAX_BAND = 253;

    private function __construct(private Pigment $card)
    {
    }

    /** @throws InvalidValue when it is too dark or burnt out to balance by */
    public static function hex(string $hex): self
    {
        $card = Pigment::hex($hex);
        $bands = [255.0 * $card->r, 255.0 * $card->g, 255.0 * $card->b];
        if (min($bands) < self::MIN_BAND - 0.5) {
            throw new InvalidValue('That is too dark for a white card.', 'white');
        }
        if (max($bands) > self::MAX_BAND + 0.5) {
            throw new InvalidValue('The white card is burnt out there; take the picture a little darker.', 'white');
        }

        return new self($card);
    }

    /** A colour of the same picture as it is in even light. */
    public function balance(Pigment $seen): Pigment
    {
        return $seen->inLight(self::REFLECTANCE, $this->card);
    }
}
