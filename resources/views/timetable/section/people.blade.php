{{-- Who teaches it and who observes --}}
<x-card :title="__('section.people.title')">
    <ul class="roster one-column">
        @foreach ($page->people->teachers as $one)
            @continue($one->isByRule)
            <li><span>{{ $one->name }} <small>{{ __('section.people.are.' . $one->role->value) }}</small></span>
                @if ($page->mayPlan && $one->isLocal)
                    <x-act :to="route('memberships.destroy', [$page->section, $one->id])" method="delete" class="btn-plain py-0"
                        :do="__('section.people.take_out')" :about="$one->name" />
                @endif
            </li>
        @endforeach
        @foreach ($page->people->rules as $rule)
            <li><span>{{ $rule->words }} <small>{{ trans_choice('section.people.by_rule', $rule->people) }}</small></span>
                @if ($page->mayPlan)
                    <x-act :to="route('observer-rules.destroy', [$page->section, $rule->id])" method="delete" class="btn-plain py-0"
                        :do="__('section.people.take_back')" :about="$rule->words" />
                @endif
            </li>
        @endforeach
    </ul>
    @if ($page->mayPlan)
        <details class="mt-1" @if ($errors->hasAny(['person', 'rule'])) open @endif>
            <summary>{{ __('section.people.add') }}</summary>
            <form class="inline mt-1" method="post" action="{{ route('memberships.store', $page->section) }}">@csrf
                <select class="form-select flex-fill w-auto" name="person" aria-label="{{ __('section.people.person') }}">
                    <option value="">{{ __('section.people.choose') }}</option>
                    @foreach ($page->people->staff as $id => $name)
                        <option value="{{ $id }}">{{ $name }}</option>
                    @endforeach
                </select>
                <button class="btn btn-side" name="role" value="co-teacher">{{ __('section.people.as_co_teacher') }}</button>
                <button class="btn btn-side" name="role" value="observer">{{ __('section.people.as_observer') }}</button>
            </form>
            <form class="inline mt-2" method="post" action="{{ route('observer-rules.store', $page->section) }}">@csrf
                <select class="form-select flex-fill w-auto" name="rule" aria-label="{{ __('section.people.rule') }}">
                    <option value="">{{ __('section.people.everybody') }}</option>
                    @foreach ($page->people->observable as $code => $words)
                        <option value="{{ $code }}">{{ $words }}</option>
                    @endforeach
                </select>
                <button class="btn btn-side">{{ __('section.people.as_observers') }}</button>
            </form>
        </details>
    @endif
</x-card>
