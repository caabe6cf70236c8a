<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

use IdleRidge\Core\Measure\InvalidValue;

/** What is to be bought, the most pressing first, from what the shops sell; carriage is paid once to each that is bought from. */
final readonly class PurchaseProblem
{
    /** Each more doubles the sets of suppliers that are tried. */
    public const MAX_SUPPLIERS = 8;

    /**
     * @param  list<PurchaseNeed>  $needs
     * @param  list<PurchasePack>  $packs
     * @param  array<string, int>  $carriage supplier → what is paid for an order there, in the smallest unit
     * @param  int|null  $budget the most that may be spent
     *
     * @throws InvalidValue
     */
    public function __construct(public array $needs, public array $packs, public array $carriage = [], public ?int $budget = null)
    {
        foreach (['needs' => $needs, 'packs' => $packs] as $list => $all) {
            $seen = [];
            foreach ($all as $k => $one) {
                if (isset($seen[$one->id])) {
                    throw new InvalidValue("There are two called “{$one->id}”.", "{$list}/{$k}/id");
                }
                $seen[$one->id] = true;
            }
        }
        foreach ($carriage as $supplier => $minor) {
            InvalidValue::unlessBetween($minor, 0, PackPrice::MAX_MINOR, 'The carriage', '', "suppliers/{$supplier}");
        }
        foreach ($packs as $k => $pack) {
            if ($pack->supplier !== '' && ! isset($carriage[$pack->supplier])) {
                throw new InvalidValue("There is no supplier “{$pack->supplier}”.", "packs/{$k}/supplier");
            }
        }
        if (count(array_unique(array_column($packs, 'supplier'))) > self::MAX_SUPPLIERS) {
            throw new InvalidValue('At most '.self::MAX_SUPPLIERS.' suppliers are weighed against each other.', 'suppliers');
        }
        if ($budget !== null) {
            InvalidValue::unlessBetween($budget, 0, PackPrice::MAX_MINOR * 10, 'The budget', '', 'budget');
        }
    }
}
