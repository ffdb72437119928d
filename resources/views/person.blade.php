@props(['page'])
<x-app :title="$page->who->name()">
    <x-page-head :title="$page->who->name()">
        <x-slot:sum>
            <x-joined by=" · "
                :of="[$page->role(), __('person.clock', ['place' => $page->place, 'time' => $page->clock]), $page->who->email]" />
            @if ($page->disabledSince !== null)
                · <b class="bad">{{ __('person.disabled', ['day' => $page->disabledSince]) }}</b>
            @endif
        </x-slot:sum>
        <x-pill :to="route('look', $page->who->sourced_id)">{{ __('publishing.look.link', ['name' => $page->who->given_name]) }}</x-pill>
        @if ($page->isStudent())
            <x-pill :to="route('attendance.student', $page->who->sourced_id)">{{ __('attendance.student.page') }}</x-pill>
        @endif
        @if ($page->mayDisable && $page->disabledSince === null)
            <x-act :to="route('person.invite', $page->who->sourced_id)" :do="__('account.people.invite_to')" />
            <x-act :to="route('person.links.renew', $page->who->sourced_id)" :do="__('person.renew_links')" />
            <x-act :to="route('person.disabled', $page->who->sourced_id)" :do="__('person.disable')" />
        @elseif ($page->mayDisable)
            <x-act :to="route('person.disabled', $page->who->sourced_id)" method="delete" :do="__('person.enable')" />
        @endif
    </x-page-head>
    <x-account.hand-over />
    <x-faults class="fault" :of="['person']" />
    <div class="columns mt-2">
        <section>
            <h2 class="mt-2">{{ __('person.coming', ['name' => $page->who->given_name]) }}</h2>
            <ul class="coming">
                @forelse ($page->coming as $one)
                    <li><span class="t">{{ $one->time }}–{{ $one->end }}<small
                                class="quiet">{{ $one->day }}</small></span><span class="n">{{ $one->name }}<small
                                class="quiet"><x-joined by=" · " :of="[$one->teacher, $one->school]" /></small></span><span></span></li>
                @empty
                    <li><span class="quiet">{{ __('person.none') }}</span></li>
                @endforelse
            </ul>
        </section>
        <div>
            <x-card :title="__('person.sections')">
                <ul class="places">
                    @forelse ($page->sections as $id => $name)
                        <li><b><a href="{{ route('section', $id) }}">{{ $name }}</a></b></li>
                    @empty
                        <li class="quiet">{{ __('person.no_section') }}</li>
                    @endforelse
                </ul>
            </x-card>
            @if ($page->edit !== null)
                @include('person.edit', ['form' => $page->edit])
            @endif
            @includeWhen($page->mayConsent, 'person.consent')
            @include('person.calendar')
        </div>
    </div>
</x-app>
