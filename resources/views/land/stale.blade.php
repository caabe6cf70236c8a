<div class="stale">
    <p><b>{{ $stale->what }} was changed elsewhere</b> since you opened it. Nothing has been overwritten.</p>
    @if ($stale->theirs !== [])
        <table class="points">
            <thead>
                <tr>
                    <th scope="col"></th>
                    <th scope="col">Stands now</th>
                    <th scope="col">Yours</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($stale->theirs as $field => $value)
                    <tr>
                        <th scope="row">{{ str_replace(['_mm', '_'], ['', ' '], $field) }}</th>
                        <td>{{ Str::limit($value, 60) }}</td>
                        <td>{{ Str::limit($stale->yours[$field], 60) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @if ($back ?? null)
        <div class="acts">
            <a class="btn" href="{{ $back }}">Show what stands now</a><a class="link" href="{{ route('layouts.index') }}">All layouts</a>
        </div>
    @else
        <button type="button" class="btn quiet" data-reload>Show what stands now</button>
    @endif
</div>
