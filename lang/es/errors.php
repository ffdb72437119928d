<?php

return [
    'host' => 'Esta página no existe. Usa el enlace que te dio tu centro.',
    'pages' => [
        '401' => [
            'title' => 'Primero inicia sesión',
            'text' => 'Tienes que iniciar sesión para ver esta página.',
        ],
        '403' => [
            'title' => 'No tienes acceso',
            'text' => 'Esta página es de otra persona. Si deberías tener acceso, pregunta a coordinación.',
        ],
        '404' => [
            'title' => 'Página no encontrada',
            'text' => 'Esta página no existe. Si te trajo un enlace, se ha cambiado o está incompleto. Búscalo otra '
                .'vez donde lo encontraste.',
        ],
        '405' => [
            'title' => 'Esta página no se abre así',
            'text' => 'Vuelve atrás y usa el botón de la página.',
        ],
        '419' => [
            'title' => 'La página ha caducado',
            'text' => 'Estuvo abierta demasiado tiempo para enviarla con seguridad. Vuelve atrás, cárgala de nuevo y '
                .'envíala otra vez. No se ha cambiado nada.',
        ],
        '429' => [
            'title' => 'Demasiados intentos',
            'text' => 'Desde aquí llegaron demasiados intentos en poco tiempo. Espera un minuto y vuelve a '.
                'intentarlo.',
        ],
        '4xx' => [
            'title' => 'No ha funcionado',
            'text' => 'No se pudo responder a la petición. Vuelve atrás e inténtalo de nuevo.',
        ],
        '500' => [
            'title' => 'Se ha producido un error',
            'text' => 'Es un error nuestro, y queda registrado. No se ha guardado nada. Inténtalo de nuevo. Si vuelve '
                .'a pasar, cuenta a coordinación qué estabas haciendo.',
        ],
        '503' => [
            'title' => 'Volvemos en un momento',
            'text' => 'Estamos actualizando Nomada. El trabajo en curso continúa después.',
        ],
        '5xx' => [
            'title' => 'Se ha producido un error',
            'text' => 'Es un error nuestro, y queda registrado. Inténtalo de nuevo dentro de un momento.',
        ],
    ],
    'first' => 'Ir a la página de inicio',
    'sign_in' => 'Iniciar sesión',
    'key' => [
        'title' => 'La clave no corresponde a la base de datos',
        'text' => 'Los enlaces, los códigos y los correos de esta base de datos están cifrados con otra APP_KEY que '
            .'la de .env. Restaura la clave que se usaba cuando se creó o se copió la base de datos. No se pierde '
            .'nada, pero sin ella no se puede leer nada.',
        'console' => 'APP_KEY no corresponde a esta base de datos. Restaura en .env la clave con la que se cifraron '
            .'sus datos.',
    ],
];
