@props(['lines'])
@if ($lines !== [])
    <fieldset class="card-s">
        <legend>{{ __('import.sure') }}</legend>
        <p class="quiet">{{ __('import.sure_why') }}</p>
        @foreach ($lines as $line)
            <label class="d-block"><input class="form-check-input" type="checkbox" name="sure[]" value="{{ $line->code }}">
                {{ trans_choice(
                    in_array($line->kind, ['role', 'address'], true) ? "import.dangers.$line->kind"
                        : "import.dangers.{$line->kind}_$line->verb",
                    $line->sessions,
                    ['of' => $line->of, 'before' => $line->before, 'after' => $line->after],
                ) }}</label>
        @endforeach
    </fieldset>
@endif
