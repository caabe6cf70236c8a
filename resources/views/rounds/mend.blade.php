<div class="mend">
    <div class="nm">
        {{ $mend['asks'] }}<span
            >{{ $mend['board'] }} · {{ $mend['minutes'] }} min{{ $mend['when'] === '' ? '' : ", planned {$mend['when']}" }}{{
                $mend['holds'] === 0 ? '' : ' · holds back '.$mend['holds'].' '.($mend['holds'] === 1 ? 'move' : 'moves') }}</span
        >
        @if ($mend['note'] !== '')
            <p>{{ $mend['note'] }}</p>
        @endif
    </div>
    <form method="post" action="{{ route('rounds.answer', $layout) }}">
        @csrf
        @seen
        <input type="hidden" name="check" value="{{ $mend['key'] }}">
        <input type="hidden" name="back" value="{{ $back }}">
        <button class="btn quiet" name="answer" value="right">Right now</button>
    </form>
</div>
