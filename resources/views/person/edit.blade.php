{{-- How the coordinator changes somebody by hand. form: EditForm --}}
<x-card :title="__('people.edit.title')">
    <form method="post" action="{{ route('people.update', $form->who->sourced_id) }}">@csrf
        @method('put')
        <x-field name="given_name" :label="__('people.edit.given')" :value="$form->who->given_name" maxlength="80" />
        <x-field name="family_name" :label="__('people.edit.family')" :value="$form->who->family_name" maxlength="80" />
        <x-field name="email" :needed="false" :label="__('people.edit.email')" :value="$form->who->email" maxlength="200" />
        <x-field name="year" :needed="false" :label="__('people.edit.year')" :value="$form->who->year" maxlength="20" />
        <x-field name="zone" :label="__('people.edit.zone')" :value="$form->who->time_zone" />
        <label class="form-label" for="f-language">{{ __('people.edit.language') }}</label>
        <select class="form-select mb-3" id="f-language" name="language">
            <option value="">–</option>
            @foreach ($form->languages as $tag => $name)
                <option value="{{ $tag }}" @selected(old('language', $form->who->roster_language) === $tag)>{{ $name }}</option>
            @endforeach
        </select>
        <button class="btn btn-side">{{ __('people.edit.go') }}</button>
    </form>
</x-card>
@if ($form->mayMove())
    <x-card :title="__('people.move.title')">
        <form method="post" action="{{ route('people.move', $form->who->sourced_id) }}">@csrf
            @foreach (['leaves' => $form->leaves, 'joins' => $form->joins] as $field => $sections)
                <label class="form-label" for="f-{{ $field }}">{{ __("people.move.$field") }}</label>
                <select class="form-select mb-2" id="f-{{ $field }}" name="{{ $field }}">
                    <option value="">{{ __('people.move.nothing') }}</option>
                    @foreach ($sections as $id => $name)
                        <option value="{{ $id }}" @selected(old($field) === (string) $id)>{{ $name }}</option>
                    @endforeach
                </select>
            @endforeach
            <x-date name="from_day" :label="__('people.move.on')" />
            <x-faults class="fault" :of="['leaves', 'joins', 'from_day']" />
            <button class="btn btn-side mt-2">{{ __('people.move.go') }}</button>
        </form>
    </x-card>
@endif
