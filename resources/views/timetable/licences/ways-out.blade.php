{{-- Another account, or shorter parts. row: BeyondRow --}}
@if ($row->fits === [])
    <span class="quiet">{{ __('licences.beyond.none') }}</span>
@else
    <form class="inline mb-1" method="post" action="{{ route('licences.put', $row->series) }}">@csrf
        @method('put')
        <select class="form-select w-auto" name="account" aria-label="{{ __('licences.beyond.other', ['series' => $row->name]) }}">
            @foreach ($row->fits as $id => $name)
                <option value="{{ $id }}">{{ $name }}</option>
            @endforeach
        </select>
        <button class="btn btn-side py-0">{{ __('licences.beyond.put') }}</button>
    </form>
@endif
@if ($row->isLong)
    <form class="inline" method="post" action="{{ route('licences.split', $row->series) }}">@csrf
        <input type="hidden" name="most" value="{{ $row->most }}">
        <span>{{ __('licences.beyond.split_into', ['n' => $row->parts()]) }}</span>
        <input class="form-control n" name="pause" value="10" inputmode="numeric"
            aria-label="{{ __('licences.beyond.pause', ['series' => $row->name]) }}">
        <span>{{ __('licences.beyond.min') }}</span>
        <button class="btn btn-side py-0">{{ __('licences.beyond.split') }}</button>
    </form>
@endif
