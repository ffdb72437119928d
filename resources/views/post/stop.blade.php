{{-- A guardian has no more letters, or has them again. person; address: of this page --}}
@props(['person', 'address'])
<x-base :title="__('account.letters.title')">
    <header class="mast narrow"><span class="name"><x-mark />Nomada</span></header>
    <main id="main" tabindex="-1">
        <form class="phone" method="post" action="{{ $address }}">
            @if ($person->letters_stopped_at)
                <h1>{{ __('account.letters.stopped') }}</h1>
                <p>{{ __('account.letters.stopped_words', ['name' => $person->name()]) }}</p>
                <input type="hidden" name="again" value="1">
                <button class="act">{{ __('account.letters.again') }}</button>
            @else
                <h1>{{ __('account.letters.are') }}</h1>
                <p>{{ __('account.letters.are_words', ['name' => $person->name()]) }}</p>
                <button class="act main">{{ __('account.letters.stop') }}</button>
            @endif
        </form>
    </main>
</x-base>
