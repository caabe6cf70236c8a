@use('IdleRidge\Core\Findings\FindingGroup')
@foreach (FindingGroup::of(array_values($findings)) as $group)
    <p class="cut-finding"><x-found :group="$group" /></p>
@endforeach
