{{-- People from outside who may come in. links: Links --}}
<x-card :title="__('joining.guests.title')">
    @forelse ($links->guests as $guest)
        <div class="mb-1"><b>{{ $guest->name }}</b>
            <span class="quiet">
                <x-joined :of="[
                    __('joining.guests.until', ['day' => $guest->until]),
                    $guest->only ? __('joining.guests.only', ['day' => $guest->only]) : '',
                ]" />
            </span>
            <x-copy :text="$guest->address" />
            @if ($page->mayChange)
                <x-act :to="route('series.guest.withdraw', [$page->section, $page->series, $guest->id])" method="delete"
                    class="btn-plain py-0" :do="__('joining.guests.take_back')" :about="$guest->name" />
            @endif
        </div>
    @empty
        <p class="quiet">{{ __('joining.guests.none') }}</p>
    @endforelse
    @if ($page->mayChange)
        <x-more :title="__('joining.guests.add')" :of="['guest_name', 'guest_email', 'until', 'only_day']">
            <form class="mt-1" method="post" action="{{ route('series.guest', [$page->section, $page->series]) }}">@csrf
                <div class="inline mb-2">
                    <input class="form-control w-auto" name="guest_name" aria-label="{{ __('joining.guests.name') }}"
                        placeholder="{{ __('joining.guests.name_like') }}" value="{{ old('guest_name') }}">
                    <input class="form-control w-auto" name="guest_email" aria-label="{{ __('joining.guests.email') }}"
                        placeholder="{{ __('joining.guests.email_like') }}" value="{{ old('guest_email') }}">
                </div>
                <div class="inline mb-2">
                    <label for="until">{{ __('joining.guests.good_until') }}</label>
                    <x-date id="until" name="until" :in="$page->term" />
                    <label for="only_day">{{ __('joining.guests.only_for') }}</label>
                    <x-date id="only_day" name="only_day" />
                </div>
                <x-faults :of="['guest_name', 'guest_email', 'until', 'only_day']" />
                <button class="btn btn-side">{{ __('joining.guests.do') }}</button>
            </form>
        </x-more>
    @endif
</x-card>
