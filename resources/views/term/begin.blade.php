@props(['page'])
<x-app :title="__('begin.title')">
    <x-page-head :title="__('begin.title')" :sum="__('begin.sum')" />
    <p class="quiet mt-2">{{ __('begin.hint') }}</p>
    <div class="columns">
        <form method="post" action="{{ route('begin.store') }}">@csrf
            <x-card :title="__('begin.steps.school')">
                <div class="begin-school">
                    <x-field name="name" :label="__('begin.name')" maxlength="120" />
                    <x-field name="zone" :label="__('begin.zone')" :hint="__('begin.zone_hint')" list="zones" autocomplete="off" />
                    <x-field name="term" :label="__('begin.term')" maxlength="80" />
                    @include('term.begin.days')
                </div>
                <datalist id="zones">
                    @foreach ($page->zones as $zone)
                        <option value="{{ $zone }}"></option>
                    @endforeach
                </datalist>
            </x-card>
            @foreach (['sections', 'students'] as $list)
                @include('term.begin.list', ['name' => $list])
            @endforeach
            <button class="btn btn-main">{{ __('begin.go') }}</button>
        </form>
        <div>
            <x-card :title="__('begin.files.title')">
                <p>{{ __('begin.files.hint') }}</p>
                <p><a class="btn btn-side" href="{{ route('import') }}">{{ __('begin.files.import') }}</a></p>
                <p class="mb-0"><a href="{{ route('begin.sample') }}">{{ __('begin.files.sample') }}</a><br>
                    <span class="quiet small">{{ __('begin.files.sample_hint') }}</span>
                </p>
            </x-card>
            <x-card :title="__('begin.demo.title')">
                <p class="mb-0">{{ __('begin.demo.hint') }}</p>
            </x-card>
        </div>
    </div>
</x-app>
