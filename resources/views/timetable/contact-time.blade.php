@props(['page'])
<x-app :title="__('contact.title')">
    <div class="bar">
        <h1>{{ __('contact.title') }}</h1>
        <div class="sum">{{ trans_choice('count.sections', count($page->rows)) }} ·
            <span @class(['todo' => $page->short > 0])>{{ trans_choice('contact.short_of', $page->short) }}</span>
        </div>
        <nav class="end" aria-label="{{ __('contact.show') }}">
            <x-pill :to="route('contact-time')" :on="$page->year === ''">{{ __('contact.all_years') }}</x-pill>
            @foreach ($page->years as $year)
                <x-pill :to="route('contact-time', ['year' => $year])" :on="$page->year === $year">{{ __('contact.year', ['year' =>
                    $year]) }}</x-pill>
            @endforeach
            <span class="mx-1"></span>
            @foreach (['csv', 'xlsx'] as $as)
                <x-pill :to="route('contact-time.export', array_filter(['as' => $as, 'year' => $page->year]))">{{ strtoupper(
                    $as) }}</x-pill>
            @endforeach
            <x-pill :to="route('timetable')">{{ __('licences.week') }}</x-pill>
        </nav>
    </div>
    <x-faults class="fault" :of="['target']" />
    @if ($page->rows === [])
        <x-empty :title="__('contact.none')">{{ __('contact.none_hint') }}</x-empty>
    @else
        <form method="post" action="{{ route('contact-time.target') }}" x-data="rows" data-rows="{{ route('contact-time.rows') }}">@csrf
            @method('put')
            <table class="table-plain figures">
                <thead>
                    <tr>
                        @if ($page->mayChange)
                            <th scope="col"><span class="visually-hidden">{{ __('contact.choose') }}</span></th>
                        @endif
                        <th scope="col">{{ __('contact.section') }}</th>
                        <th scope="col">{{ __('contact.against') }}</th>
                        @foreach (__('contact.columns') as $words)
                            <th scope="col" class="num">{{ $words }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach ($page->whole() as $row)
                        @include('timetable.contact-time.row')
                    @endforeach
                    @include('stubs', ['stubs' => $page->stubs()])
                </tbody>
            </table>
            @if ($page->mayChange)
                <div class="tray" role="region" aria-label="{{ __('contact.tray') }}">
                    <b>{{ __('contact.target_of') }}</b>
                    <input class="form-control w-auto" name="target" aria-label="{{ __('section.contact.label') }}"
                        placeholder="{{ __('contact.target_like') }}">
                    <span>{{ __('section.contact.hours') }}</span>
                    <button class="btn btn-main">{{ __('contact.set') }}</button>
                </div>
            @endif
        </form>
    @endif
</x-app>
