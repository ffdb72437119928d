{{-- What can be done about a clash. row: ClashRow --}}
@if ($row->asksForTimes())
    <div class="times" x-data="options" data-from="{{ route('clashes.options', ['key' => $row->key]) }}" role="status"><span
            class="quiet">{{ __('clashes.looking') }}</span></div>
@endif
@foreach ($row->sections as $id => $name)
    <a class="me-2 nowrap"
        href="{{ $page->sections->to($id) }}?change={{ $row->series[$loop->index] }}">{{ __('clashes.move', ['section' => $name]) }}</a>
    @if ($row->canMoveOne())
        <a class="me-2 nowrap"
            href="{{ $page->sections->to($id) }}?day={{ $row->firstDay }}#session">{{ __('clashes.only', ['day' => Say::dayMonth(
                \Nomada\Core\Term\LocalDate::parse($row->firstDay))]) }}</a>
    @endif
@endforeach
@if ($row->canMoveOne() && count($row->sections) > 1)
    <a class="me-2 nowrap" href="{{ route('moves', ['series' => $row->series, 'date' => $row->firstDay]) }}">{{ __('moves.both') }}</a>
@endif
@if ($row->isOfAccounts())
    <a class="me-2 nowrap" href="{{ route('licences') }}">{{ __('licences.title') }}</a>
@endif
@if ($row->reason)
    <x-act :to="route('clashes.reopen')" method="delete" :with="['key' => $row->key]" class="btn-plain py-0" :do="__('clashes.reopen')" />
@else
    <details class="d-inline-block">
        <summary class="quiet">{{ __('clashes.accept') }}…</summary>
        <form class="d-flex gap-2 mt-1" method="post" action="{{ route('clashes.accept') }}">@csrf
            <input type="hidden" name="key" value="{{ $row->key }}">
            <input class="form-control" name="reason" maxlength="200" aria-label="{{ __('clashes.why') }}"
                placeholder="{{ __('clashes.why_like') }}">
            <button class="btn btn-side">{{ __('clashes.accept') }}</button>
        </form>
    </details>
@endif
