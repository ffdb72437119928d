{{-- The section's own formula. page: SectionPage --}}
<details class="mt-3" @if ($errors->hasAny(['maximum', 'present', 'punctual', 'answers', 'hands', 'lines'])) open @endif>
    <summary>{{ __('presence.score.formula') }}</summary>
    <form class="mt-2" method="post" action="{{ route('attendance.formula', $page->section) }}">@csrf @method('put')
        <p class="quiet mb-2">{{ __('presence.score.hint') }}</p>
        <p><label for="maximum">{{ __('presence.score.maximum') }}</label>
            <input class="form-control n d-inline-block" id="maximum" name="maximum" inputmode="numeric"
                value="{{ old('maximum', $page->formula->maximum) }}">
        </p>
        <table class="table-plain w-auto">
            <thead>
                <tr>
                    <th scope="col">{{ __('presence.score.part') }}</th>
                    <th scope="col">{{ __('presence.score.weight') }}</th>
                    <th scope="col">{{ __('presence.score.cap') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach (Nomada\Core\Presence\Measure::cases() as $m)
                    <tr>
                        <th scope="row">{{ __("presence.score.measures.$m->value") }}</th>
                        @foreach (['weight' => 0, 'cap' => 1] as $what => $i)
                            <td><input class="form-control n" name="{{ $what }}_{{ $m->value }}" inputmode="numeric"
                                    aria-label="{{ __("presence.score.$what") }}, {{ __("presence.score.measures.$m->value") }}"
                                    value="{{ old("{$what}_$m->value", $page->formula->toArray()['parts'][$m->value][$i] ?? '') }}"></td>
                        @endforeach
                    </tr>
                    @error($m->value)
                        <tr>
                            <td colspan="3" class="invalid" role="alert">{{ $message }}</td>
                        </tr>
                    @enderror
                @endforeach
            </tbody>
        </table>
        @foreach (['maximum'] as $field)
            @error($field)
                <div class="invalid" role="alert">{{ $message }}</div>
            @enderror
        @endforeach
        <button class="btn btn-side mt-2">{{ __('presence.score.save') }}</button>
    </form>
</details>
