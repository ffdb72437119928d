{{-- A page for whoever is not signed in: one card in the middle. title --}}
@props(['title'])
<x-base :title="$title">
    <header class="mast"><a class="name" href="/sign-in"><x-mark />Nomada</a></header>
    <main id="main" tabindex="-1">
        <div class="sign-in is-one">
            @foreach (\Nomada\App\View\Unsaid::of($errors, (string) $slot) as $words)
                <p class="fault" role="alert">{{ $words }}</p>
            @endforeach
            {{ $slot }}
        </div>
    </main>
</x-base>
