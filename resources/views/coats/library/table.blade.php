@use('IdleRidge\Core\Coats\MeasureRule')
@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
<section class="sheet library-sheet">
    <header>
        <h2>By stage</h2>
        <x-filter class="end" for="all-recipes" what="recipes" />
    </header>
    <div class="in scroll-x">
        <table class="layers library" id="all-recipes">
            <thead>
                <tr>
                    <th scope="col">Recipe</th>
                    <th scope="col">goes in</th>
                    <th scope="col">next coat</th>
                    <th scope="col">dry through</th>
                    <th scope="col">figures</th>
                </tr>
            </thead>
            @foreach ($groups as $recipes)
                <tbody>
                    <tr class="sum" data-rows>
                        <th scope="rowgroup" colspan="5">{{ ucfirst($recipes[0]->stage->word()) }}</th>
                    </tr>
                    @foreach ($recipes as $recipe)
                        <tr id="r-{{ $recipe->id }}" data-row @if ($picked?->id === $recipe->id) aria-current="true" @endif>
                            <th scope="row">
                                <a
                                    href="{{ route('library.show', [$layout, 'recipe' => $recipe->id]) }}#r-{{ $recipe->id
                                        }}"
                                    >{{ $recipe->cure->name }}</a
                                >
                            </th>
                            <td class="word">
                                @foreach ($recipe->parts as $k => $part)
                                    @if (!$loop->first)
                                        <br>
                                    @endif
                                    {{ implode(' + ', array_column($part->of, 'material')) }}
                                    @php($rate = $part->rate())
                                    @if ($part->rule === MeasureRule::Pores)
                                        <span class="num">{{ Decimal::trimmed(100 * $part->value, 0) }}</span>
                                        % of pores
                                    @else
                                        @php($digits = $part->value < 10 ? ($part->rule === MeasureRule::Area ? 1 : 2) : 0)
                                        <span class="num">{{ Format::field($part->value, $rate, $digits) }}</span>
                                        {{ trim(Format::unit($rate) . ' ' . $part->rule->each()) }}
                                        @if ($part->rule === MeasureRule::Area) {{ $range($low($recipe, "parts/{$k}"), $rate) }} @endif
                                    @endif
                                @endforeach
                            </td>
                            <td>{{ $hours($recipe->cure->minutes['next_coat'] ?? null) }}</td>
                            <td>
                                {{ $hours($recipe->cure->minutes['dry_through'] ?? null) }}
                                @if ($low($recipe, 'minutes/dry_through'))
                                    <small
                                        class="soft"
                                        >{{ $range(array_map(fn($v) => $v / 60, $low($recipe, 'minutes/dry_through')))
                                            }}</small
                                    >
                                @endif
                            </td>
                            <td class="word">
                                {{
                                    $recipe->provenance->value === 'starting value'
                                        ? 'starting'
                                        : $recipe->provenance->value
                                }}
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            @endforeach
        </table>
    </div>
</section>
