<?php

declare(strict_types=1);

namespace App\Actions\Land;

use App\Actions\FormInput;
use App\Actions\Ledger\ChangeSet;
use App\Actions\Ledger\Ledger;
use App\Models\Layout;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\FormationProfile;

/** Lays several runs of one kind on one formation, in one step. */
final readonly class SaveFormation
{
    public function __construct(private Ledger $ledger)
    {
    }

    /**
     * @param  array<string, mixed>  $input of (the run whose formation was shown), profile[], runs[]
     * @return string a run that lies on it now
     */
    public function change(Layout $layout, array $input): string
    {
        $typed = new FormInput($input);
        $rows = $layout->runs()->get()->keyBy('uid');
        [$profile, $chosen] = $typed->made(function () use ($typed, $rows): array {
            $of = $rows->get($typed->text('of'))
                ?? throw new InvalidValue('The run it was of is no longer there: load the page again.', 'runs');
            $values = FormationInput::read($typed, FormationProfile::from($of->profile));
            $chosen = [];
            foreach (array_unique($typed->list('runs'), SORT_REGULAR) as $uid) {
                $row = is_string($uid) ? $rows->get($uid) : null;
                $chosen[] = $row !== null && $row->kind === $of->kind
                    ? $row
                    : throw new InvalidValue('One of these runs is no longer there: load the page again.', 'runs');
            }

            return [
                FormationProfile::from($values),
                $chosen !== [] ? $chosen : throw new InvalidValue('Say which runs lie on it: tick one at least.', 'runs'),
            ];
        });
        $sentence = count($chosen) === 1 ? "{$chosen[0]->name} changed" : 'Formation of '.count($chosen).' runs changed';
        $this->ledger->record($layout, $sentence, function (ChangeSet $changes) use ($chosen, $profile): void {
            foreach ($chosen as $row) {
                $row->fill(['profile' => $profile->toArray()]);
                $changes->save($row);
            }
        });

        return $chosen[0]->uid;
    }
}
