{{-- What differs there, side by side. rows: DriftRow[]; all: how many there are --}}
@props(['rows', 'all'])
<form method="post" action="{{ route('drift.back') }}" x-data="choosing">@csrf
    <table class="table-plain drift">
        <thead>
            <tr>
                <th scope="col"><input class="form-check-input" type="checkbox" x-on:change="all"
                        aria-label="{{ __('publishing.drift.choose_all') }}"></th>
                <th scope="col">{{ __('publishing.drift.what') }}</th>
                <th scope="col">{{ __('publishing.drift.ours') }}</th>
                <th scope="col">{{ __('publishing.drift.theirs') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($rows as $row)
                <tr>
                    <td><input class="form-check-input" type="checkbox" name="chosen[]" value="{{ $row->placement }}"
                            aria-label="{{ __('publishing.drift.choose', ['what' => "$row->name, $row->label"]) }}"></td>
                    <th scope="row"><a href="{{ route('section', $row->section) }}">{{ $row->name }}</a>
                        <small class="d-block">{{ Say::this($row->place->said()) }}, {{ $row->label }}</small>
                    </th>
                    @if ($row->changes === null)
                        <td class="quiet">{{ $row->label }}</td>
                        <td><b class="bad">{{ __('publishing.drift.gone') }}</b></td>
                    @else
                        <td>
                            @foreach ($row->changes as $change)
                                <div class="field"><b>{{ \Nomada\App\Destinations\FieldWords::of($change->field) }}</b>
                                    <del>{{ Str::limit(\Nomada\App\Destinations\FieldWords::changed($change, $change->before), 240) }}</del>
                                </div>
                            @endforeach
                        </td>
                        <td>
                            @foreach ($row->changes as $change)
                                <div class="field"><b>{{ \Nomada\App\Destinations\FieldWords::of($change->field) }}</b>
                                    <ins>{{ Str::limit(\Nomada\App\Destinations\FieldWords::changed($change, $change->after), 240) }}</ins>
                                </div>
                            @endforeach
                        </td>
                    @endif
                </tr>
            @endforeach
        </tbody>
    </table>
    @if ($all > count($rows))
        <p class="quiet">{{ __('publishing.drift.more', ['n' => $all - count($rows)]) }}</p>
    @endif
    @error('chosen')
        <div class="invalid" role="alert">{{ $message }}</div>
    @enderror
    <div class="tray shown" role="region" aria-label="{{ __('publishing.drift.chosen') }}">
        <span class="names">{{ __('publishing.drift.chosen') }}</span>
        <button class="btn btn-side" formaction="{{ route('drift.keep') }}">{{ __('publishing.drift.keep_theirs') }}</button>
        <button class="btn btn-main">{{ __('publishing.drift.put_back') }}</button>
    </div>
</form>
