<x-page title="Match this" :layout="$layout" :section="$first" current="journal">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="journal.history" />
        <main class="page matching" id="land">
            <div class="title">
                <h1>Match this</h1>
                <div class="sub">the same build-up on another board,<br>and what differs today</div>
                @if ($apart)
                    <dl class="facts">
                        <div>
                            <dt>Pictures apart</dt>
                            <dd><b class="num">{{ $apart['apart'] }}</b><small>ΔE</small></dd>
                        </div>
                    </dl>
                @endif
            </div>
            <x-said />
            <section class="sheet">
                <form class="seek" method="get" action="{{ route('journal.match', $layout) }}">
                    <div class="seek-row">
                        <x-choice name="from" label="As this is" :options="['' => 'choose a zone'] + $names" :value="$source?->uid ?? ''" />
                        <x-choice name="to" label="to be on" :options="['' => 'choose a zone'] + $names" :value="$target?->uid ?? ''" />
                        <button class="btn quiet">Hold them together</button>
                    </div>
                </form>
                @foreach (['from', 'to'] as $place)
                    @error($place)
                        <p class="fault wide-fault" role="alert">{{ $message }}</p>
                    @enderror
                @endforeach
                @if ($source === null)
                    <p class="blank-words">
                        Choose the zone that looks right. Its coats, colours and lots stand here, and beside them what there is today.
                    </p>
                @else
                    <table class="match-rows">
                        <thead>
                            <tr>
                                <th scope="col">Coat, from below</th>
                                <th scope="col">Colour</th>
                                <th scope="col">Drawn from</th>
                                <th scope="col">{{ $target === null ? 'There' : "On {$target->name}" }}</th>
                            </tr>
                        </thead>
                        <tbody>
                            @foreach ($rows as $row)
                                <tr>
                                    <th scope="row">
                                        {{ $row['title'] }}
                                        <span>{{ $row['how'] }}{{ $row['laid'] ? '' : ', not laid yet' }}</span>
                                    </th>
                                    <td>
                                        @if ($row['colour'])
                                            <svg class="swatch" viewBox="0 0 14 14" aria-hidden="true">
                                                <rect width="14" height="14" fill="{{ $row['hex'] }}" />
                                            </svg>
                                            {{ $row['colour'] }}<span>{{ $row['mix'] }}</span>
                                        @endif
                                    </td>
                                    <td>
                                        @foreach ($row['lots'] as $lot)
                                            <div @class(['lot-differs' => $lot['differs']])>
                                                {{ $lot['material'] }} {{ $lot['was'] }}
                                                @if ($lot['differs'])
                                                    <b>today {{ $lot['now'] }}</b>
                                                @endif
                                            </div>
                                        @endforeach
                                    </td>
                                    <td>
                                        @if ($target !== null)
                                            {{ $row['same'] ? 'the same' : ($row['there'] === '' ? 'not yet' : $row['there']) }}
                                        @endif
                                    </td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                    @if ($bare && $rows !== [])
                        <form class="in" method="post" action="{{ route('journal.lay', $layout) }}">
                            @csrf
                            @seen
                            <input type="hidden" name="from" value="{{ $source->uid }}">
                            <input type="hidden" name="to" value="{{ $target->uid }}">
                            <div class="acts"><button class="btn">Lay the same on {{ $target->name }}</button></div>
                        </form>
                    @endif
                @endif
            </section>
            @if ($one || $other)
                <section class="sheet match-shots">
                    @foreach ([[$source, $one], [$target, $other]] as [$zone, $photo])
                        <figure>
                            @if ($photo)
                                <a href="{{ route('photos.show', [$layout, $photo->uid]) }}">
                                    <x-shot :layout="$layout" :photo="$photo" size="middle" />
                                </a>
                            @else
                                <p class="blank-words">No picture of it yet.</p>
                            @endif
                            <figcaption>
                                {{ $zone?->name }}
                                @if ($photo && ! $photo->patch)
                                    <span>touch a spot of it for its colour</span>
                                @endif
                            </figcaption>
                        </figure>
                    @endforeach
                    @if ($apart)
                        <p class="in-ca">
                            The touched spots are
                            <b>ΔE <span class="num">{{ $apart['apart'] }}</span></b>
                            apart: {{ $apart['seen'] }}.
                        </p>
                    @endif
                </section>
            @endif
        </main>
    </div>
</x-page>
