<?php

declare(strict_types=1);

namespace App\Actions\Coats;

use App\Computed\Journal\LearnedWork;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\OwnRecipe;
use IdleRidge\Core\Journal\Cases;
use IdleRidge\Core\Measure\InvalidValue;

/** Takes a figure over into a recipe as it came out at the bench. */
final readonly class SaveLearned
{
    public function __construct(
        private ProjectLoader $load,
        private Library $library,
        private LearnedWork $learned,
        private SaveRecipe $recipes,
    ) {
    }

    /** @throws InvalidValue when it came out too seldom to go by */
    public function take(Layout $layout, string $id, string $what): void
    {
        $works = $this->load->works($layout);
        $recipe = $this->library->with(OwnRecipe::recipes($works->recipes))->recipe($id);
        $fields = $this->learned->figures($layout, $works, $recipe)->taken($what);
        if ($fields === []) {
            throw new InvalidValue('It came out less than '.Cases::ENOUGH.' times; that is nothing to go by yet.', 'yours');
        }
        $this->recipes->learn($layout, $id, $fields);
    }
}
