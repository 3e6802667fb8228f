//! The names of the ways.

macro_rules! ids {
    ($($(#[$doc:meta])* $name:ident: $room:ident::$way:ident),+ $(,)?) => {
        /// A way, whatever it is set to.
        #[derive(Debug, Clone, Copy, PartialEq, Eq)]
        pub enum WayId {
            $($(#[$doc])* $name,)+
        }

        impl WayId {
            /// All of them.
            pub const ALL: [Self; [$(stringify!($name)),+].len()] = [$(Self::$name),+];
        }
    };
}

each_way!(ids!);
